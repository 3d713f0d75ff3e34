/**
 * From what the watched firings are drawn. Written down before there was a detector to hold
 * against them; whoever changes them after looking at one says so in docs/HEATWORK.md.
 * Figures: common practice, no source, unless named.
 */
export const RANGES = {
  /** Seconds in which chamber and brick come together, and the brick’s share of heat. */
  innerSeconds: [900, 2400],
  brickPerChamber: [1.2, 3],
  /** kJ/K of chamber and load. */
  chamber: [25, 140],
  /** K/s at which full power would lift the chamber alone. */
  pace: [0.18, 0.32],
  /** °C at which new elements at full power stand still. */
  highest: [1400, 1800],
  room: [5, 30],
  /** Share of new elements’ power that is left. */
  elements: [0.65, 1],
  weakShare: 0.25,
  soundElements: [0.85, 1],
  /** Jitter of a reading, °C, and what the thermocouple reads low by. */
  jitter: [0.2, 1.5],
  readsLow: [-25, 25],
  /** Who fires. */
  controllerShare: 0.6,
  switchesShare: 0.25,
  /** Tops of programs, °C. */
  tops: [1000, 1060, 1145, 1186, 1222, 1240, 1285],
  candleShare: 0.4,
  candleHours: [0.5, 4],
  middleRate: [80, 200],
  lastRate: [40, 110],
  topHoldMinutes: [0, 60],
  dropShare: 0.25,
  dropBy: [30, 90],
  dropHoldMinutes: [10, 60],
  slowCoolShare: 0.15,
  slowCoolRate: [40, 90],
  /** The band in which a controller gives part of its power, °C, and how quickly it mends a lasting miss. */
  band: [12, 45],
  mendSeconds: [250, 1100],
  /** A program’s clock may stand while the kiln is so far behind, °C. */
  waits: [5, 30],
  /** Switches: power of each step, hours between them. */
  switchSteps: [0.3, 0.6, 1],
  switchHours: [1, 2.5],
  /** A gas kiln is changed now and then, by so much of its heat. */
  gasChangeHours: [0.4, 1.5],
  gasChange: 0.08,
  /** A soak by hand at the top, in minutes, done by turning down. */
  handSoakMinutes: [0, 30],
  /** Somebody says that it is cooling so many hours after it was off, or nobody does. */
  saidLate: [0, 6],
  neverSaid: 0.3,
  /** A kiln that never gets there is given up after so many hours. */
  givenUp: [24, 40],
  /** The lid is cracked at, °C; K per second and K above the room that it lets out. */
  crackAt: [80, 250],
  crackLoss: [0.00004, 0.00012],
  /** Minutes between readings by hand, and how unpunctual they are. */
  handMinutes: [20, 60],
  unpunctual: 0.2,
} as const;

/** What goes wrong. */
export const FAULTS = ['relay', 'power', 'thermocouple', 'door'] as const;
export type Fault = (typeof FAULTS)[number];
export const FAULT_RANGES = {
  /**
   * Power that is lost at once: a third of it, to all. A controller makes up for it as far as the
   * rest goes; fired by hand it is a third of what is in use.
   */
  loss: [1 / 3, 1],
  /** A door that stands open on a hot kiln, as crackLoss. */
  doorLoss: [0.0003, 0.001],
  /** A thermocouple slides out: what is left of what it showed above the room, within minutes. */
  slidesTo: [0, 0.6],
  slidesMinutes: [1, 5],
  /** Or breaks: what a meter then shows. */
  brokenShare: 0.4,
  brokenShows: [Number.NaN, 0, 2400, -200],
  /** It shows once the reading is so far from what it would have been, °C. */
  shows: 8,
  /** Power is lost while at least so much more of it is in use than is left. */
  bites: 0.1,
  /** Read by hand, by so much: less is not told from elements that tire. */
  bitesByHand: 0.2,
  /** A relay sticks while at least so much of the power is not in use: on anyway, it changes little. */
  reserve: 0.2,
  /** By gas, whose heat wavers by itself, at least so much of the whole. */
  bitesTended: 0.25,
  /** What breaks in the last moments before the fire goes out by itself cannot be told from that, seconds. */
  last: 600,
  lastByHand: 5400,
  /** What breaks is a kiln that keeps up: no further behind its program, °C, or still climbing, °C/h. */
  behind: 25,
  climbing: 20,
  /** Fired by hand it breaks no nearer to its top than this, °C: there somebody stands beside it. */
  handBelow: 60,
} as const;
