import type { Sentence } from '../quantity';

export interface Way {
  readonly key: string;
  readonly asks: string;
  readonly choices: readonly { readonly value: string; readonly words: string; readonly because: Sentence }[];
}

/** Where the trade disagrees: the shop's habit, with each side's reason. The first choice holds when nothing is chosen. */
export const ways: readonly Way[] = [
  {
    key: 'thread', asks: 'Outside threads',
    choices: [
      { value: 'single-point', words: 'single point', because: ['true to the axis and any pitch; slower'] },
      { value: 'die', words: 'die', because: ['quick and like its fellows; may wander and needs the size in the drawer'] },
      { value: 'begun', words: 'begun, then die', because: ['led straight, and like its fellows; two tools to set'] },
      { value: 'least', words: 'as it costs least', because: ['weighed for each thread: minutes, tool changes and risk'] },
    ],
  },
  {
    key: 'infeed', asks: 'Infeed for threads',
    choices: [
      { value: 'compound', words: 'compound at 29.5°', because: ['one flank cuts, chips part freely'] },
      { value: 'straight', words: 'straight in', because: ['no setting over; light cuts, fine pitches'] },
    ],
  },
  {
    key: 'severing', asks: 'Severing',
    choices: [
      { value: 'part', words: 'part off', because: ['square and to length in one go'] },
      { value: 'saw', words: 'saw, then face', because: ['no chatter on long or hollow pieces'] },
      { value: 'least', words: 'as it costs least', because: ['weighed for each piece: minutes, metal and risk'] },
    ],
  },
  {
    key: 'taper', asks: 'Tapers',
    choices: [
      { value: 'compound', words: 'compound slide', because: ['nothing is moved that was true; as long as its travel, fed by hand'] },
      { value: 'set-over', words: 'tailstock set over, between centres', because: ['long ones under power feed; the tailstock must be set back'] },
      { value: 'least', words: 'as it costs least', because: ['weighed for each taper: compound, set-over, or a form tool for a short one'] },
    ],
  },
  {
    key: 'bar', asks: 'The bar',
    choices: [
      { value: 'saw', words: 'saw a blank off', because: ['nothing whips behind the headstock; any bar, whatever the spindle bore'] },
      { value: 'whole', words: 'leave it whole, through the spindle', because: ['no grip lost for each piece; slower where it stands out behind'] },
    ],
  },
  {
    key: 'cooling', asks: 'Cooling before a fine size',
    choices: [
      { value: 'flood', words: 'coolant or a bucket', because: ['minutes; wipe it dry before measuring'] },
      { value: 'bench', words: 'let it lie', because: ['no mess, nothing rusts; hours for a thick piece'] },
    ],
  },
  {
    key: 'tap', asks: 'Tapping',
    choices: [
      { value: 'hand', words: 'by hand', because: ['one feels it bind; for soft, tough and blind holes'] },
      { value: 'power', words: 'under power', because: ['quick and straight; breaks a tap that meets the bottom'] },
    ],
  },
  {
    key: 'centre', asks: 'Parting with the centre in',
    choices: [
      { value: 'most', words: 'for most of the way', because: ['long work stays quiet; withdrawn while the core is a quarter of the diameter'] },
      { value: 'never', words: 'never', because: ['a piece that is still pinched climbs on the blade'] },
    ],
  },
  {
    key: 'edge', asks: 'Edges',
    choices: [
      { value: 'hss', words: 'high-speed steel first', because: ['keen, takes a hundredth, ground to any form'] },
      { value: 'carbide', words: 'carbide first', because: ['three times the speed; wants real depth and feed'] },
    ],
  },
  {
    key: 'batch', asks: 'Several pieces',
    choices: [
      { value: 'operation', words: 'each setup on all of them', because: ['stops set once, one frame of mind; pieces numbered'] },
      { value: 'piece', words: 'each piece right through', because: ['the first shows what is wrong before the others are cut; mates stay together'] },
    ],
  },
  {
    key: 'emery', asks: 'Fine outside sizes',
    choices: [
      { value: 'turn', words: 'turned to size', because: ['round and true as it comes off the tool'] },
      { value: 'leave', words: 'a hundredth left for emery', because: ['a smooth surface, sneaked up on; grit and a little out of round'] },
    ],
  },
  {
    key: 'settable', asks: 'What a dial is set to',
    choices: [
      { value: 'half', words: 'half divisions', because: ['between two lines is told by eye; fine enough for most'] },
      { value: 'whole', words: 'whole divisions', because: ['a line against a line: nothing to judge'] },
      { value: 'fifth', words: 'fifths of a division', because: ['wide divisions, a vernier, or good eyes'] },
    ],
  },
  {
    key: 'verdict', asks: 'Verdict of a size',
    choices: [
      { value: 'plain', words: 'by plain limits', because: ['in when the reading is in; the doubt of the gauge falls to either side'] },
      { value: 'proved', words: 'only what the gauge proves', because: ['in or out only beyond the doubt of the gauge, 95 %; between, it cannot tell (ISO 14253-1, from memory)'] },
    ],
  },
  {
    key: 'drilling', asks: 'Wide holes',
    choices: [
      { value: 'pilot', words: 'pilot first', because: ['the web has no work; little thrust'] },
      { value: 'full', words: 'straight through', because: ['one drill less; wants a stiff quill and power'] },
    ],
  },
  {
    key: 'gaugeCheck', asks: 'Gauges are checked each',
    choices: [
      { value: '12', words: '12 months', because: ['against a setting piece or blocks; what it reads over is written down'] },
      { value: '6', words: '6 months', because: ['gauges that are in hand all day'] },
      { value: '24', words: '24 months', because: ['gauges that mostly lie in their box'] },
      { value: 'never', words: 'nobody is reminded', because: ['each is tried on a setting piece before it is used'] },
    ],
  },
];

/** The way in force: the job's own, else the shop's, else the first of the table. */
export function wayOf(key: string, shopWays: Readonly<Record<string, string>>, jobWays: ReadonlyMap<string, string>): string {
  const way = ways.find((w) => w.key === key);
  const asked = jobWays.get(key) ?? shopWays[key];
  return way?.choices.find((c) => c.value === asked)?.value ?? way?.choices[0]?.value ?? '';
}
