/* No file may reach itself through what it imports; types count too, since they bind readers as much. */
/** @type {import('dependency-cruiser').IConfiguration} */
export default {
  forbidden: [{ name: 'circle', severity: 'error', from: {}, to: { circular: true } }],
  options: {
    doNotFollow: { path: 'node_modules' },
    exclude: { path: '\\.(test|fixture|css|svg)\\.?' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.base.json' },
  },
};
