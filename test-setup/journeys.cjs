// a journey in a real browser takes its time
jest.setTimeout(60_000);
