import type { Machine } from '../document';
import { alike, PLACE, tidy } from '../quantity';
import { mmOf } from '../shop';
import type { Thread } from '../standards';
import { type GearTrain, gearTrains, halfNuts } from './gears';

/** How a lathe gives a pitch: by a lever of its box, by change wheels, or not at all. */
export interface ThreadDrive {
  readonly by: 'box' | 'wheels' | 'none';
  /** wheels that are put on; with `lever` in place of equal ones */
  readonly train?: GearTrain;
  /** where its box stands meanwhile, mm a turn; absent where the leadscrew is driven straight */
  readonly lever?: number;
  /** how far the pitch is off over the length of the thread, mm; 0 is exact */
  readonly off: number;
  readonly nuts: ReturnType<typeof halfNuts>;
  /** the thread dial's own turn is a whole number of leads: the nuts close again at the same mark */
  readonly sameMark: boolean;
}

/** Families whose pitch is counted in millimetres. */
const metric: ReadonlySet<Thread['family']> = new Set<Thread['family']>(['metric', 'trapezoidal', 'ba']);

/** Worst error of a train that is still taken, parts in a million. @source common practice: under a tenth of a per cent no nut of usual length feels it */
const WITHIN = 1000;

const known = new WeakMap<Machine, Map<string, ThreadDrive>>();

/**
 * What of a lathe gives a thread its pitch, exact before nearly, a lever before wheels.
 * @param lead mm a turn
 * @param long length of the thread, mm: the error is over that
 * @source can-it-be-cut, half-nut: common practice; exact arithmetic
 */
export function threadDrive(
  machine: Machine,
  { family, lead }: { readonly family: Thread['family']; readonly lead: number },
  long: number,
): ThreadDrive {
  const drives = known.get(machine) ?? new Map<string, ThreadDrive>();
  known.set(machine, drives);
  const key = `${family} ${String(lead)} ${String(long)}`;
  const made = drives.get(key) ?? drive(machine, family, lead, long);
  drives.set(key, made);
  return made;
}

function drive(machine: Machine, family: Thread['family'], lead: number, long: number): ThreadDrive {
  const leadscrew = mmOf(machine.leadscrew);
  const oneSystem = metric.has(family) === (machine.leadscrew.units === 'mm');
  const dial = mmOf(machine.threadDial);
  const about = {
    nuts: leadscrew > 0 ? halfNuts(lead, leadscrew, oneSystem) : ('keep closed' as const),
    sameMark: dial > 0 && alike(dial / lead, Math.round(dial / lead), 1e-6),
  };
  const levers = machine.box.map((cell) => mmOf(cell)).filter((p) => p > 0);
  const lever = levers.find((p) => Math.abs(p - lead) < 1e-4 * lead);
  if (lever !== undefined) return { by: 'box', lever, off: tidy(Math.abs(lever - lead) * (long / lead)), ...about };
  const straight = leadscrew > 0 ? gearTrains({ pitch: lead, leadscrew, gears: machine.gears, within: WITHIN }).slice(0, 1) : [];
  const boxed =
    machine.gears.length === 0
      ? []
      : levers.flatMap((p) =>
          gearTrains({ pitch: lead, leadscrew: p, gears: machine.gears, within: WITHIN })
            .slice(0, 1)
            .map((train) => ({ train, lever: p })),
        );
  // a box takes the drive where a lathe has one: wheels go on before it
  const found = levers.length > 0 ? boxed : straight.map((train) => ({ train, lever: undefined }));
  const [best] = found.toSorted(
    (a, b) => Math.abs(a.train.error) - Math.abs(b.train.error) || a.train.drivers.length - b.train.drivers.length || PLACE,
  );
  if (!best) return { by: 'none', off: 0, ...about };
  return {
    by: 'wheels',
    train: best.train,
    ...(best.lever !== undefined && { lever: best.lever }),
    off: tidy(Math.abs(best.train.pitch - lead) * (long / lead)),
    ...about,
  };
}
