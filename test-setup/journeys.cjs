// a journey in a real browser takes its time, thrice as long on a machine that others use too
jest.setTimeout(240_000);
