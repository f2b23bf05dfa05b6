/* Small jobs of our own, each with one size to bring in. */
import { blankJob, type Job } from '@obra/core/document';

export const mm = (text: string) => ({ text, units: 'mm' as const });
const inch = (text: string) => ({ text, units: 'in' as const });

/** A sleeve whose bore is fitted to a journal that was measured, and a stud with a 2A thread. */
const sleeve = (): Job => {
  const job = blankJob('Sleeve on its journal', 'mm');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      material: 'mild-steel',
      outside: [{ id: 's1', size: mm('36'), length: mm('28') }],
      boreRight: [{ id: 'h1', size: mm('22'), length: mm('through') }],
      mates: [
        {
          id: 'm1',
          of: 'h1',
          piece: 'journal',
          want: mm('clearance 0.03 +/-0.01'),
          measured: { readings: [mm('21.984'), mm('21.986')], gauge: 'mic-0-25' },
        },
      ],
    },
  };
};
const stud = (): Job => {
  const job = blankJob('Stud', 'in');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      material: 'mild-steel',
      outside: [
        { id: 's1', size: inch('3/4-10 UNC-2A'), length: inch('3/4') },
        { id: 's2', size: inch('1'), length: inch('1-1/2') },
      ],
    },
  };
};
const spindle = (): Job => {
  const job = blankJob('Spindle to its bearing', 'mm');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      outside: [
        { id: 's1', size: mm('20 k6'), length: mm('24') },
        { id: 's2', size: mm('26'), length: mm('30') },
      ],
      mates: [{ id: 'm1', of: 's1', piece: 'bearing', want: mm('trial: wants a push') }],
    },
  };
};

/** A taper that its socket is tried on. */
const tapered = (): Job => {
  const job = blankJob('Tapered arbor', 'mm');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      outside: [
        { id: 's1', size: mm('Morse 2'), length: mm('50') },
        { id: 's2', size: mm('25'), length: mm('30') },
      ],
    },
  };
};

/** A journal whose shoulder has limits of its own. */
const shouldered = (title: string): Job => {
  const job = blankJob(title, 'mm');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      outside: [
        { id: 's1', size: mm('19 h7'), length: mm('30 +/-0.05') },
        { id: 's2', size: mm('30'), length: mm('20') },
      ],
    },
  };
};

/** A thread that its ring is tried on. */
const ringed = (): Job => {
  const job = blankJob('Ringed stud', 'mm');
  return {
    ...job,
    choices: [{ kind: 'method', id: 'm', of: 's1', method: 'single-point' }],
    drawing: {
      ...job.drawing,
      outside: [
        { id: 's1', size: mm('M12'), length: mm('25') },
        { id: 's2', size: mm('20'), length: mm('30') },
      ],
    },
  };
};

/** A long taper between centres, the tailstock set over. */
const setOver = (): Job => {
  const job = blankJob('Long taper', 'mm');
  return {
    ...job,
    choices: [
      { kind: 'method', id: 'c', of: 'carrying', method: 'centres' },
      { kind: 'method', id: 's', of: 's1', method: 'set-over' },
    ],
    drawing: {
      ...job.drawing,
      outside: [
        { id: 's1', size: mm('22 > 24'), length: mm('100') },
        { id: 's2', size: mm('28'), length: mm('100') },
      ],
    },
  };
};

/** A bearing seat far out of the jaws, with no centre to carry it. */
const slender = (): Job => {
  const job = blankJob('Slender seat', 'mm');
  return {
    ...job,
    choices: [{ kind: 'hold', id: 'hold-right-1', setup: 'right-1', holding: 'three-jaw', support: [] }],
    drawing: {
      ...job.drawing,
      outside: [
        { id: 's1', size: mm('16 h7'), length: mm('70') },
        { id: 's2', size: mm('24'), length: mm('20') },
      ],
    },
  };
};

/** A sleeve with a taper bored for the plug of its hub. */
const bored = (): Job => {
  const job = blankJob('Tapered sleeve', 'mm');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      outside: [{ id: 's1', size: mm('40'), length: mm('60') }],
      boreRight: [{ id: 'b1', size: mm('25 > 21'), length: mm('40') }],
    },
  };
};

/** The nut of a stern gland: an inside thread that no tap of the shop makes. */
const gland = (): Job => {
  const job = blankJob('Gland nut', 'mm');
  return {
    ...job,
    drawing: {
      ...job.drawing,
      outside: [{ id: 's1', size: mm('36'), length: mm('25') }],
      boreRight: [
        { id: 'h1', size: mm('M24x1.5'), length: mm('15') },
        { id: 'h2', size: mm('16'), length: mm('through') },
      ],
    },
  };
};

export const sizedJobs: readonly Job[] = [
  sleeve(),
  stud(),
  spindle(),
  slender(),
  tapered(),
  shouldered('Shouldered journal'),
  ringed(),
  setOver(),
  bored(),
  shouldered('Journal cut under'),
  gland(),
];
