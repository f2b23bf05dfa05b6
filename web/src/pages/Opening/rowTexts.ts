import type { Job } from '@obra/core/document';

/** What was typed of each row, for the labels of the picture. */
export const rowTexts = (job: Job) => Object.fromEntries(job.drawing.outside.map((r) => [r.id, { size: r.size.text, length: r.length.text }]));
