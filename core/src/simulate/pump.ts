// Longer than a file should be: one machine with all that flows through it.
import { kinematicViscosityMm2s } from '../oil/index.js';
import { iceVapourPressurePa, waterSaturationPressurePa } from '../water/index.js';

/** How a simulated pump and its set are made. SI, but for mL, °C and hours where their names say so. */
export interface Build {
  readonly speedM3S: number;
  readonly lineM3S: number;
  readonly chamberM3: number;
  /** Blanked off and warm, ballast closed and open. */
  readonly ultimatePa: number;
  readonly ballastPa: number;
  readonly ballastM3S: number;
  readonly outgasPaM3S: number;
  readonly boosterTimes: number;
  readonly chargeMl: number;
  readonly marksMl: number;
  readonly v40: number;
  /** Over the room, running and well cooled. */
  readonly riseK: number;
  readonly roomC: number;
  readonly humidity: number;
  /** Null without a cold trap. */
  readonly trapC: number | null;
  readonly trapHoldsG: number;
}

/** What wear, dirt and faults change. */
export interface Condition {
  leakPaM3S: number;
  /** Into the pump behind its inlet. */
  pumpLeakPaM3S: number;
  /** On its ultimate, and of its speed as new. */
  vanes: number;
  speedShare: number;
  lineShare: number;
  screenShare: number;
  /** Of the anti-suckback valve's opening. */
  valveShare: number;
  /** Of the ballast's air that passes when it is closed. */
  ballastLeak: number;
  boosterShare: number;
  backPa: number;
  coolingShare: number;
  torqueShare: number;
  gaugeTimes: number;
  trapWarmerK: number;
  /** The exhaust pipe climbs, and what condenses in it runs back. */
  pipeRises: boolean;
  mistTimes: number;
  weepMlPerH: number;
  /** Sucked back at a stop under vacuum. */
  suckMl: number;
  wearPpmPerH: number;
  /** Left in the housing by earlier charges, in steps of colour that they give to new oil. */
  deposits: number;
  /** Sheds of a filter upstream, per hour. */
  fibresPerH: number;
  dustPpmPerH: number;
}

export const AS_NEW: Condition = {
  leakPaM3S: 0,
  pumpLeakPaM3S: 0,
  vanes: 1,
  speedShare: 1,
  lineShare: 1,
  screenShare: 1,
  valveShare: 1,
  ballastLeak: 0,
  boosterShare: 1,
  backPa: 3000,
  coolingShare: 1,
  torqueShare: 1,
  gaugeTimes: 1,
  trapWarmerK: 0,
  pipeRises: false,
  mistTimes: 1,
  weepMlPerH: 0,
  suckMl: 0,
  wearPpmPerH: 0.004,
  deposits: 0.2,
  fibresPerH: 0,
  dustPpmPerH: 0,
};

/** What a load gives off, per hour of running, and water that it holds. */
export interface Load {
  readonly waterG: number;
  readonly fat: number;
  readonly fines: number;
  readonly solventMl: number;
  readonly resinMl: number;
  readonly acid: number;
  readonly siliconeMl: number;
  /** Drawn in at once. */
  readonly liquidMl: number;
  /** Of gas through the pump, against a usual load. */
  readonly throughput: number;
  /** Air of a packing chamber, per second of running. */
  readonly cyclesM3S: number;
}

export const NO_LOAD: Load = {
  waterG: 0,
  fat: 0,
  fines: 0,
  solventMl: 0,
  resinMl: 0,
  acid: 0,
  siliconeMl: 0,
  liquidMl: 0,
  throughput: 1,
  cyclesM3S: 0,
};

export interface Inputs {
  readonly running: boolean;
  /** Open to the chamber, or shut off from it. */
  readonly inlet: 'chamber' | 'shut';
  readonly ballast: 'open' | 'closed';
  /** The trap is cut off from the chamber, as for a rate of rise. */
  readonly trapIsolated?: boolean;
}

/** What is in the oil, and what it has taken up. */
export interface Oil {
  oilMl: number;
  waterMl: number;
  solventMl: number;
  resinMl: number;
  siliconeMl: number;
  /** Of another product. */
  otherShare: number;
  colour: number;
  acid: number;
  ironPpm: number;
  dustPpm: number;
  fines: number;
  fibres: number;
  metal: number;
  rust: number;
  black: number;
  sludgeMl: number;
  growth: number;
  /** Hotter than oil stands for long. */
  burntHours: number;
}

const GAS = 8.314462618;
const WATER_G_MOL = 18.015;
const ATMOSPHERE_PA = 101_325;
const EXHAUST_PA = 133_300;
const GAS_K = 293;
/** Of what saturated air could carry out. */
const CARRIES = 0.5;
/** How fast a load gives its water off, as a conductance, and how warm it is. */
const EVAPORATION_M3S = 4e-4;
const LOAD_C = -12;
const WET_ROOM_C = 15;
const STEP_S = 300;
const STANDING_STEP_S = 3600;

const psat = (c: number): number => waterSaturationPressurePa({ tempC: Math.max(-39, Math.min(c, 180)) });
const pice = (c: number): number => iceVapourPressurePa({ tempC: Math.min(0, c) });
const gramsOf = (paM3: number): number => (paM3 / (GAS * GAS_K)) * WATER_G_MOL;

/** A pump that runs: physics over time, and what an eye, a jar, a gauge and a laboratory would read of it. */
export class SimulatedPump {
  build: Build;
  condition: Condition;
  oil: Oil;
  load: Load = NO_LOAD;
  oilC: number;
  airPa: number;
  vapourPa = 0;
  chamberWaterG = 0;
  iceG = 0;
  pipeWaterMl = 0;
  hoseOilMl = 0;
  hoursRun = 0;
  /** Released from the housing into this charge. */
  private released = 0;

  constructor(build: Build, condition: Condition = { ...AS_NEW }) {
    this.build = build;
    this.condition = condition;
    this.oil = freshOil(build);
    this.oilC = build.roomC;
    this.airPa = ATMOSPHERE_PA;
  }

  /** New oil; what stays in the housing goes on into it. */
  change(): void {
    this.oil = freshOil(this.build);
    this.released = 0;
  }

  /** A load goes in, and the chamber is full of air. */
  begin(load: Load): void {
    this.load = load;
    this.airPa = ATMOSPHERE_PA;
    // Most of what went up the hose is drawn back.
    this.oil.oilMl += this.hoseOilMl * 0.9;
    this.hoseOilMl = 0;
    this.chamberWaterG += load.waterG;
    this.oil.waterMl += load.liquidMl;
    // Fat vapour goes into the oil within minutes.
    this.oil.colour += 0.8 * load.fat;
  }

  /** A defrost takes the trap's ice away. */
  defrost(): void {
    this.iceG = 0;
  }

  /** Stops under vacuum, or vented: oil goes up the hose, water runs back down the exhaust. */
  stop(vented: boolean): void {
    this.load = NO_LOAD;
    if (!vented) {
      const sucked = Math.min(this.condition.suckMl, this.oil.oilMl * 0.2);
      this.oil.oilMl -= sucked;
      this.hoseOilMl = sucked;
    }
    if (this.condition.pipeRises) this.oil.waterMl += this.pipeWaterMl;
    this.pipeWaterMl = 0;
  }

  get viscosityMm2s(): number {
    const c = Math.max(-20, Math.min(this.oilC, 140));
    return kinematicViscosityMm2s({ v40: this.build.v40, v100: this.build.v40 / 7.8, tempC: c }) * this.thicker;
  }

  /** Times as thick as fresh oil at one temperature: 3 % of solvent thin it by a quarter. */
  get thicker(): number {
    const { resinMl, solventMl, acid } = this.oil;
    const { chargeMl } = this.build;
    return Math.exp((14 * resinMl) / chargeMl - (9.6 * solventMl) / chargeMl + 0.12 * Math.max(0, acid - 0.4));
  }

  /** Between the marks: 0 at MIN, 1 at MAX. */
  get level(): number {
    const { chargeMl, marksMl } = this.build;
    const { oilMl, waterMl, solventMl } = this.oil;
    return 0.5 + (oilMl + waterMl + solventMl - chargeMl) / marksMl;
  }

  get waterShare(): number {
    return this.oil.waterMl / this.build.chargeMl;
  }

  /** As new, warm and free: thick oil slows the vanes. */
  private get pumpSpeed(): number {
    const { speedM3S, boosterTimes } = this.build;
    const { speedShare, boosterShare } = this.condition;
    const cold = Math.min(1, Math.sqrt(250 / this.viscosityMm2s));
    return speedM3S * speedShare * cold * Math.max(1, boosterTimes * boosterShare);
  }

  /** At the chamber, through screen, valve and line. */
  get speed(): number {
    const { lineM3S } = this.build;
    const { lineShare, screenShare, valveShare } = this.condition;
    const narrow = (1 / screenShare - 1 + 1 / valveShare - 1) / lineM3S;
    return 1 / (1 / this.pumpSpeed + 1 / (lineM3S * lineShare) + narrow);
  }

  /** What the pump itself reaches: its vanes, its leaks, its ballast, and what boils in its oil. */
  ownPa(ballast: Inputs['ballast']): number {
    const { ultimatePa, ballastPa, speedM3S, chargeMl } = this.build;
    const { vanes, pumpLeakPaM3S, ballastLeak, backPa } = this.condition;
    const dry = ultimatePa * vanes * (this.level < -0.1 ? 2 + 6 * Math.min(1, -this.level) : 1);
    const wet = ultimatePa * 25 * Math.min(1, this.waterShare / 0.015);
    const thin = ultimatePa * 60 * Math.min(1, this.oil.solventMl / chargeMl / 0.03);
    const mixed = ultimatePa * 3 * this.oil.otherShare;
    const air = ballast === 'open' ? ballastPa : ballastPa * ballastLeak;
    return dry + wet + thin + mixed + air + pumpLeakPaM3S / speedM3S + ultimatePa * (backPa / 25_000);
  }

  /** Time passes. @param seconds of any length */
  advance(seconds: number, inputs: Inputs): void {
    const step = inputs.running ? STEP_S : STANDING_STEP_S;
    for (let left = seconds; left > 0; left -= step) this.step(Math.min(step, left), inputs);
  }

  private step(dt: number, inputs: Inputs): void {
    this.warm(dt, inputs.running);
    this.gas(dt, inputs);
    if (!inputs.running) {
      this.stand(dt);
      return;
    }
    this.hoursRun += dt / 3600;
    this.takeUp(dt / 3600);
    this.ballast(dt, inputs);
  }

  private warm(dt: number, running: boolean): void {
    const { roomC, riseK } = this.build;
    const { coolingShare, backPa, wearPpmPerH } = this.condition;
    const low = this.level < -0.1 ? 1.12 : 1;
    const work = 1 + Math.max(0, backPa - 10_000) / 150_000 + Math.min(0.15, wearPpmPerH / 4);
    const target = running ? roomC + (riseK * work * low) / coolingShare : roomC;
    this.oilC += (target - this.oilC) * (1 - Math.exp(-dt / (running ? 1500 : 5000)));
  }

  /** The chamber's air and vapour settle where what comes in meets what goes out. */
  private gas(dt: number, { running, inlet, ballast, trapIsolated = false }: Inputs): void {
    const { chamberM3, speedM3S, outgasPaM3S, trapC, trapHoldsG } = this.build;
    const { leakPaM3S, trapWarmerK } = this.condition;
    const open = running && inlet === 'chamber';
    const speed = open ? this.speed : 0;
    const comesIn = outgasPaM3S + leakPaM3S * Math.max(0, 1 - this.airPa / ATMOSPHERE_PA);
    if (speed > 0) {
      const settles = this.ownPa(ballast) + comesIn / speed;
      this.airPa = settles + (this.airPa - settles) * Math.exp((-speed * dt) / chamberM3);
    } else this.airPa = Math.min(ATMOSPHERE_PA, this.airPa + (comesIn * dt) / chamberM3);
    const loadC = trapC === null ? WET_ROOM_C : LOAD_C;
    const wet = this.chamberWaterG > 0 ? EVAPORATION_M3S : 0;
    const over = Math.max(0, this.iceG / trapHoldsG - 0.8) * 25;
    const hasTrap = trapC !== null && !trapIsolated;
    const trapPa = hasTrap ? pice(trapC + trapWarmerK + over) : 0;
    const toTrap = hasTrap ? 20 * speedM3S : 0;
    const all = wet + toTrap + speed;
    if (all > 0) {
      const settles = (wet * psat(loadC) + toTrap * trapPa) / all;
      this.vapourPa = settles + (this.vapourPa - settles) * Math.exp((-all * dt) / chamberM3);
    }
    const gone = Math.min(this.chamberWaterG, gramsOf(Math.max(0, wet * (psat(loadC) - this.vapourPa)) * dt));
    this.chamberWaterG -= gone;
    this.iceG += gramsOf(Math.max(0, toTrap * (this.vapourPa - trapPa)) * dt);
    this.oil.waterMl += gramsOf(this.vapourPa * speed * dt);
    // Air that leaks in brings the room's vapour.
    const humidPa = this.build.humidity * psat(this.build.roomC);
    if (open) this.oil.waterMl += gramsOf(((leakPaM3S * humidPa) / ATMOSPHERE_PA) * dt);
  }

  /** What the load sends into the oil, and what heat and wear make of it. */
  private takeUp(hours: number): void {
    const { oil, load, condition } = this;
    const hot = 2 ** ((this.oilC - 70) / 10);
    oil.colour += hours * (0.002 * hot + 0.02 * load.fat);
    if (this.oilC > 92) oil.burntHours += hours;
    oil.acid += hours * (0.0008 * hot + 0.05 * load.acid);
    oil.black += hours * (0.006 * hot * (this.oilC > 95 ? 4 : 1) + condition.wearPpmPerH * 2);
    oil.sludgeMl += hours * (0.12 * load.fat + 0.05 * load.fines * Math.min(1, condition.screenShare));
    oil.fines += hours * load.fines * condition.screenShare;
    oil.fibres += hours * condition.fibresPerH;
    oil.metal += hours * Math.max(0, condition.wearPpmPerH - 0.1) * 3;
    oil.ironPpm += hours * condition.wearPpmPerH;
    oil.dustPpm += hours * condition.dustPpmPerH;
    oil.ironPpm += hours * condition.dustPpmPerH * 0.5;
    oil.solventMl += hours * load.solventMl;
    oil.resinMl += hours * load.resinMl;
    oil.siliconeMl += hours * load.siliconeMl;
    const loosened = condition.deposits * Math.exp(-this.released) * (1 - Math.exp(-hours / 2));
    this.released += hours / 2;
    oil.colour += loosened;
    oil.black += loosened * 2;
    oil.sludgeMl += loosened;
    const lost = hours * (0.08 * condition.mistTimes * load.throughput + condition.weepMlPerH);
    oil.oilMl -= lost + (this.level > 1.1 ? hours * 2 : 0) + (condition.backPa > 25_000 ? hours * 0.4 : 0);
    this.rust(hours);
  }

  /** Wet iron rusts, the sooner in acid. */
  private rust(hours: number): void {
    const attack = Math.min(1, this.waterShare / 0.01) * (0.004 + 0.25 * Math.max(0, this.oil.acid - 0.3));
    this.oil.rust += hours * attack;
    this.oil.ironPpm += hours * attack * 0.6;
  }

  /** What its air brings, and what it carries out of oil so warm; through cycles the chamber's own air does the same. */
  private ballast(dt: number, { ballast }: Inputs): void {
    const { ballastM3S, humidity, roomC } = this.build;
    const flow = ballast === 'open' ? ballastM3S : ballastM3S * this.condition.ballastLeak;
    this.airThrough(flow * dt, humidity * psat(roomC));
    this.airThrough(this.load.cyclesM3S * dt, psat(WET_ROOM_C));
  }

  private airThrough(m3: number, vapourPa: number): void {
    if (m3 <= 0) return;
    const brings = gramsOf(vapourPa * m3);
    const x = Math.min(0.9, psat(Math.min(this.oilC, 99)) / EXHAUST_PA);
    const mol = ((ATMOSPHERE_PA - vapourPa) * m3) / (GAS * GAS_K);
    const carries = CARRIES * mol * (x / (1 - x)) * WATER_G_MOL;
    const before = this.oil.waterMl;
    this.oil.waterMl = Math.max(0, before + brings - carries);
    const out = before + brings - this.oil.waterMl;
    this.pipeWaterMl += this.condition.pipeRises ? Math.min(60, out * 0.25) : 0;
  }

  private stand(dt: number): void {
    const days = dt / 86_400;
    const warm = this.oilC > 15 && this.oilC < 38;
    if (warm && this.waterShare > 0.008 && this.oil.fines > 1) this.oil.growth += days;
    const drying = Math.min(this.chamberWaterG, 40 * days);
    this.chamberWaterG -= drying;
  }

  /** @param thermal a gauge of that kind reads vapour 1.6 times too high */
  gaugePa(thermal = false): number {
    return (this.airPa + this.vapourPa * (thermal ? 1.6 : 1)) * this.condition.gaugeTimes;
  }

  /** Against nominal, once it runs: thick oil, back-pressure and friction brake. */
  get current(): number {
    const { backPa, torqueShare, wearPpmPerH } = this.condition;
    const thick = Math.max(0, Math.log10(this.viscosityMm2s / 40)) * 0.14;
    return (1 + thick + Math.max(0, backPa - 8000) / 120_000 + Math.min(0.3, wearPpmPerH)) / Math.sqrt(torqueShare);
  }

  /** Of the torque that it has, what a start in oil as thick as now takes; above 1 it does not get going. */
  get startLoad(): number {
    return (0.2 + Math.log10(Math.max(10, this.viscosityMm2s)) * 0.2) / this.condition.torqueShare;
  }

  /** Louder than as new, in steps that an ear tells apart. */
  get noise(): number {
    const { vanes, wearPpmPerH, backPa } = this.condition;
    return Math.log10(vanes) + wearPpmPerH * 3 + (this.level < -0.2 ? 0.8 : 0) + backPa / 120_000;
  }
}

const freshOil = ({ chargeMl }: Build): Oil => ({
  oilMl: chargeMl,
  waterMl: 0,
  solventMl: 0,
  resinMl: 0,
  siliconeMl: 0,
  otherShare: 0,
  colour: 1,
  acid: 0.1,
  ironPpm: 1,
  dustPpm: 0.5,
  fines: 0,
  fibres: 0,
  metal: 0,
  rust: 0,
  black: 0.2,
  sludgeMl: 0,
  growth: 0,
  burntHours: 0,
});
