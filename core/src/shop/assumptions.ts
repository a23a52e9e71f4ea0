import { pair, pairMm, type Pair, type UnitSystem } from '../units/length';

/** Units of constants that are the same in every shop. */
type Plain = 'min' | 's' | 'cm²' | 'money/h' | 'Pa' | 'Pa/mm' | 'mm/kPa' | 'm²' | 'm²/kg' | 'mm' | 'kg' | 'kg/m³' | 'N' | 'N/m';

/** One constant that the trade assumes rather than derives. A shop may calibrate it; the shipped value stays visible beside it. */
export interface Assumption {
  /** Metric | inch for a length; everything else is the same number twice. */
  readonly value: Pair;
  readonly unit: 'length' | 'ratio' | Plain;
  readonly meaning: string;
  readonly source: string;
}

const length = (mm: number, inch: number, meaning: string, source: string): Assumption => ({ value: pair(mm, inch), unit: 'length', meaning, source });
const ratio = (value: number, meaning: string, source: string): Assumption => ({ value: pair(value, value), unit: 'ratio', meaning, source });

const plain = (value: number, unit: Plain, meaning: string, source: string): Assumption => ({
  value: pair(value, value),
  unit,
  meaning,
  source,
});

/** Every assumed constant in one table. */
export const ASSUMPTIONS = {
  clothThicknessMm: length(
    1,
    1 / 25.4,
    'thickness of an ordinary upholstery cloth, where the cloth does not say',
    'weaves of 300 to 400 g/m² measure 0.8 to 1.2 mm',
  ),
  selvedgeMm: length(10, 3 / 8, 'selvedge lost on each side of a roll, where the cloth does not say', 'usual for furnishing widths'),
  trimOffMm: length(50, 2, 'strips and zips are cut longer by this at each end and trimmed at their join', 'bench practice'),
  ringOverlapMm: length(50, 2, 'extra welt in each ring for its closing join', 'bench practice'),
  jointClearMm: length(60, 2.5, 'a boxing join keeps this far from a corner, a tie or a zip end', 'bench practice'),
  biasDepthMm: length(700, 27, 'depth of cloth set aside for cutting bias strips', 'longer strips mean fewer joins, deeper cloth more offcut'),
  clipOpenMm: length(3, 1 / 8, 'no clip on a curve opens or overlaps more than this', 'bench practice'),
  squareEndMm: length(30, 1.25, 'cloth lost when the end of the roll is squared', 'bench practice'),
  clothGapMm: length(3, 1 / 8, 'room between pieces on cloth and wadding for shears or knife', 'bench practice'),
  softCoreOpening: ratio(0.6, 'a soft core compressed in a bag passes an opening of this share of its smaller side', 'bench practice'),
  zipWidthMm: length(30, 1.25, 'width of the zip tape', 'medium continuous zip'),
  zipReturnMm: length(50, 2, 'the zip runs this far round each back corner', '50 to 75 in use'),
  zipPocketMm: length(25, 1, 'depth of the pocket that hides each zip end', '25 to 50 in use'),
  cordMm: length(5, 3 / 16, 'thickness of the welt cord', 'ordinary piping cord'),
  threadThin: ratio(2.5, 'thread per length of seam and row, thin cloth (0.5 mm and under)', 'lockstitch, both threads'),
  threadThick: ratio(3.2, 'thread per length of seam and row, thick cloth (2 mm and over)', 'lockstitch, both threads'),
  sawKerfMm: length(3, 1 / 8, 'width of cut of the foam saw', 'bench practice'),
  knifeKerfMm: length(1, 1 / 16, 'width of cut of a foam knife or bread knife', 'bench practice'),
  wireKerfMm: length(2, 1 / 16, 'width of cut of a hot wire', 'bench practice'),
  earTrimMm: length(13, 1 / 2, 'a knife-edge corner is taken in by this on both sides, running out at a quarter of them', 'bench practice'),
  penAllowanceMm: length(
    3,
    1 / 8,
    'a line drawn round foam with a marker lies outside its edge by this',
    'half the marker’s thickness, and a little for its tilt',
  ),
  sheetTrimMm: length(5, 1 / 4, 'edge of a foam sheet that is not square and clean', 'bench practice'),
  uprightShare: ratio(0.75, 'share of the body’s weight on the seat, upright with the feet down', 'seating surveys'),
  reclinedShare: ratio(0.65, 'the same, reclined', 'seating surveys'),
  childKg: plain(25, 'kg', 'mass that stands for a small child', 'the shop’s own bands'),
  slightKg: plain(55, 'kg', 'mass that stands for a slight sitter', 'the shop’s own bands'),
  middlingKg: plain(75, 'kg', 'mass that stands for a middling sitter', 'the shop’s own bands'),
  sturdyKg: plain(95, 'kg', 'mass that stands for a sturdy sitter', 'the shop’s own bands'),
  heavyKg: plain(120, 'kg', 'mass that stands for a heavy sitter', 'the shop’s own bands'),
  contactBase: plain(0.075, 'm²', 'contact area of a sitter, without the part that grows with weight', 'pressure mats'),
  contactPerKg: plain(0.0006, 'm²/kg', 'contact area of a sitter for every kilogram', 'pressure mats'),
  lyingArea: plain(0.55, 'm²', 'area that a lying body rests on', 'pressure mats'),
  peakFactor: ratio(1.6, 'highest pressure under a sitter over the mean', 'pressure mats'),
  boardGive: plain(0, 'mm/kPa', 'give of a bare board', 'stiff'),
  foldingBedGive: plain(1.5, 'mm/kPa', 'give of a folding-bed platform', 'bench practice'),
  webbingGive: plain(8, 'mm/kPa', 'give of webbing', 'bench practice'),
  springsGive: plain(10, 'mm/kPa', 'give of springs under the deck', 'bench practice'),
  settledConventional: ratio(0.85, 'hardness left after a few hundred sits, conventional foam', 'fatigue tests'),
  settledResilient: ratio(0.9, 'hardness left after a few hundred sits, high-resilience foam', 'fatigue tests'),
  springRate: plain(60, 'Pa/mm', 'stiffness of a spring unit', 'rule of thumb'),
  springTravel: ratio(0.7, 'share of its height that a spring unit gives before it is stiff', 'rule of thumb'),
  featherPressure: plain(400, 'Pa', 'pressure that halves the loft of feather and down', 'rule of thumb'),
  softFrom: ratio(0.35, 'sink over foam height from which a cushion feels soft', 'the shop’s own words'),
  mediumFrom: ratio(0.22, 'sink over foam height from which a cushion feels medium; below it feels firm', 'the shop’s own words'),
  bottomsOut: ratio(0.7, 'strain of the worst layer at peak pressure from which a cushion bottoms out', 'load curves turn up here'),
  nearBottom: ratio(0.62, 'strain of the worst layer at peak pressure from which a cushion is near its bottom', 'load curves turn up here'),
  boardStrain: ratio(0.1, 'no layer strained more than this, and little give: sits like a board', 'bench practice'),
  boardGiveMm: plain(12, 'mm', 'total give below which a cushion sits like a board', 'bench practice'),
  lowSeatMm: plain(380, 'mm', 'seat height, sat on, below which it is hard to get up', 'ergonomics of rising'),
  deepGiveMm: plain(75, 'mm', 'total give above which it is hard to get up', 'ergonomics of rising'),
  dailyDensity: plain(35, 'kg/m³', 'least density of bearing layers, seats in daily use', 'life of foams'),
  regularDensity: plain(30, 'kg/m³', 'least density of bearing layers, seats in regular use', 'between daily and occasional'),
  occasionalDensity: plain(24, 'kg/m³', 'least density of bearing layers, seats used now and then', 'life of foams'),
  backDensity: plain(18, 'kg/m³', 'least density of back cushions and of beds used now and then', 'little load'),
  firmestClass: plain(200, 'N', 'hardness from which a foam is of the firmest class', '45 lbf'),
  leastSprungMm: plain(125, 'mm', 'a cushion lower than this has no room for springs and foam over them', 'the lowest units are 100 high'),
  regularDenseKgM3: plain(40, 'kg/m³', 'a foam denser than this is not worn out by regular use', 'life of foams'),
  occasionalDenseKgM3: plain(29, 'kg/m³', 'a foam denser than this is not worn out by being used now and then', 'life of foams'),
  backDenseKgM3: plain(25, 'kg/m³', 'a foam denser than this is wasted in a back', 'life of foams'),
  lightTopShare: ratio(0.34, 'a top layer up to this share of the height bears little and may be lighter', 'bench practice'),
  firmSide: ratio(0.05, 'where someone must be able to get up, this much less sink over height is aimed at', 'bench practice'),
  backLoadShare: ratio(1 / 3, 'share of a seat’s load that a back bears', 'people lean on it'),
  softBackN: plain(110, 'N', 'a back of foam up to this hardness is soft', '25 lbf'),
  highCushionMm: plain(175, 'mm', 'in a cushion from this height the medium class already reads firm', 'bench practice'),
  featherLightKg: plain(45, 'kg', 'sitters up to this may have feather and down alone', 'bench practice'),
  heavySitterKg: plain(90, 'kg', 'sitters from this want a sprung core with foam over it', 'bench practice'),
  hardnessClass: plain(45, 'N', 'one class of hardness', '10 lbf: suppliers’ steps'),
  slowReturn: plain(60, 's', 'a core that takes longer to come back after a squeeze does not come back', 'bench practice'),
  hourRate: plain(45, 'money/h', 'what an hour at the bench costs', 'the shop’s own'),
  padMinutes: plain(25, 'min', 'to cut and set a crown pad', 'bench practice'),
  wrapMinutes: plain(20, 'min', 'to wrap a core anew', 'bench practice'),
  glueMinutes: plain(20, 'min', 'to open, glue and weigh down a joint', 'bench practice'),
  spliceMinutes: plain(35, 'min', 'to splice in a strip from an offcut', 'bench practice'),
  airMinutes: plain(15, 'min', 'to powder, vacuum and hang a core out', 'bench practice'),
  steamMinutes: plain(10, 'min', 'to steam the corners', 'bench practice'),
  newCoreMinutes: plain(30, 'min', 'to mark and cut a new core', 'bench practice'),
  dryShare: ratio(0.05, 'a sample counts as dry when this share of the water is left', 'weighing cannot tell less'),
  wrapSqueezedLightly: ratio(0.5, 'share of its loft that a wrap keeps when the cover is measured over it', 'wadding under a light hand'),
  packedEndLoftMm: length(40, 1.5, 'loft of the loose wadding at a packed end, beside its wrap', 'bench practice'),
  looseBelow: plain(150, 'Pa', 'a cover that presses on its filling with less is loose', 'calibrated by what good covers are like'),
  roomyBelow: plain(700, 'Pa', 'a cover that presses with less is roomy, with more taut', 'calibrated by what good covers are like'),
  hardToCloseTension: plain(150, 'N/m', 'a cloth tighter than this wants bag, vacuum and a helper to close', 'bench practice'),
  willNotCloseTension: plain(400, 'N/m', 'no zip closes over a cloth tighter than this', 'bench practice'),
  bowOversize: ratio(0.09, 'a core larger than its cover by more than this may bow', 'bench practice'),
  bowThinOversize: ratio(0.04, 'the same, a thin core', 'bench practice'),
  bowThinMm: plain(50, 'mm', 'a core under this is thin enough to bow early', 'bench practice'),
  leastWrapMm: plain(6, 'mm', 'a wadding of less loft than this neither fills nor softens', 'bench practice'),
  wovenStiffness: plain(15_000, 'N/m', 'resistance of woven cloth to stretching', 'strip tests'),
  stretchStiffness: plain(4_000, 'N/m', 'the same, stretch vinyl', 'strip tests'),
  wrapFaceOverMm: length(13, 1 / 2, 'a face of wadding reaches over the core’s edge by this', 'bench practice'),
  wrapBorderOverMm: length(25, 1, 'a border of wadding is higher than the core, and longer than its way round, by this', 'bench practice'),
  wrapWhipOverMm: length(32, 1.25, 'faces that are whip-stitched together reach over the edge by this', '25 to 38 in use'),
  cornerReachMm: length(40, 1.5, 'loose wadding in a corner reaches this far along both sides', 'bench practice'),
  looseFillDensity: plain(14, 'kg/m³', 'density of loose wadding packed into a corner', 'weighing what goes in'),
  feltMm: plain(10, 'mm', 'thickness of the felt round a spring unit', 'bench practice'),
  feltLapMm: length(25, 1, 'felt round a spring unit laps over itself by this', 'bench practice'),
  hollowPadLoftMm: plain(25, 'mm', 'loft of the wadding that a hollow in an old core is filled with', 'bench practice'),
  usualWrapMm: length(25, 1, 'wrap to advise where the school itself takes none', 'bench practice'),
  earRunOut: ratio(0.25, 'share of a side over which a knife-edge corner’s trim runs out', 'bench practice'),
  sinkLowSeatMm: plain(450, 'mm', 'a seat that ends below this with nobody on it is low', 'ergonomics of rising'),
  pressPlateCm2: plain(323, 'cm²', 'area of the press plate', 'a round foot of 203 mm'),
  keptOffcutMm: plain(150, 'mm', 'an offcut of foam shorter than this is swept up', 'bench practice'),
  joinEndMm: plain(100, 'mm', 'a glued join keeps at least this from the end of a core', 'what is shorter does not hold'),
  cutFixedMinutes: plain(2, 'min', 'to lay out and start cutting a piece', 'the shop’s own rates'),
  cutMetreMinutes: plain(0.6, 'min', 'to cut a metre', 'the shop’s own rates'),
  cutCornerMinutes: plain(0.2, 'min', 'to cut or mark a corner', 'the shop’s own rates'),
  sewFixedMinutes: plain(2, 'min', 'to set a seam up at the machine', 'the shop’s own rates'),
  sewMetreMinutes: plain(1.2, 'min', 'to sew a metre', 'the shop’s own rates'),
  sewCornerMinutes: plain(0.6, 'min', 'to clip and turn a corner', 'the shop’s own rates'),
  handFixedMinutes: plain(3, 'min', 'to set a hand seam up', 'the shop’s own rates'),
  handMetreMinutes: plain(14, 'min', 'to sew a metre by hand', 'the shop’s own rates'),
  stapleFixedMinutes: plain(3, 'min', 'to set up for stapling', 'the shop’s own rates'),
  stapleMetreMinutes: plain(5, 'min', 'to staple a metre', 'the shop’s own rates'),
  prepareFixedMinutes: plain(6, 'min', 'to get a core ready for one thing', 'the shop’s own rates'),
  prepareMetreMinutes: plain(1, 'min', 'to work along a metre of a core', 'the shop’s own rates'),
  fillFixedMinutes: plain(5, 'min', 'to fill or dress a cushion', 'the shop’s own rates'),
  fillCornerMinutes: plain(1, 'min', 'to dress a corner', 'the shop’s own rates'),
  tackyMinutes: plain(5, 'min', 'until spray adhesive is tacky', 'bench practice'),
  stapleEveryMm: plain(20, 'mm', 'from staple to staple at a frame or board', 'bench practice'),
  envelopeOverlapMm: length(100, 4, 'the two halves of an envelope back overlap by this', 'bench practice'),
  sewnEndMm: length(75, 3, 'sewn at each end of an opening that is closed by hand', 'bench practice'),
  boardOverhangMm: length(6, 1 / 4, 'foam on a board is cut larger than it by this on every side', 'bench practice'),
  boardTurnMm: length(6, 1 / 4, 'allowance of a band and a flange where they meet under a board', 'bench practice'),
  flangeWideMm: length(50, 2, 'width of a staple flange inside its seam', 'bench practice'),
  boardMm: length(18, 3 / 4, 'thickness of the board under a drum', 'plywood'),
  drumSeamMm: length(13, 1 / 2, 'seam allowance of a drum’s plate and band', 'bench practice'),
  edgeStripOverMm: length(25, 1, 'a strip round a board’s edge is cut longer by this', 'bench practice'),
  bolsterEndMm: length(50, 2, 'sewn shut at each end of a bolster’s zip', 'bench practice'),
  knifeSeamMm: length(13, 1 / 2, 'seam allowance of a knife edge, inside the insert’s own size', 'bench practice'),
  ridgeMm: plain(5, 'mm', 'a ridge is top-stitched this far from its seam', 'bench practice'),
  ringStopMm: length(125, 5, 'a ring of welt is sewn to this far from where it was started, and then closed', 'room to work at the machine'),
  ringOverMm: length(25, 1, 'the end of a ring of welt is cut over its beginning by this', 'bench practice'),
  ringTurnMm: length(13, 1 / 2, 'the end of a ring of welt is turned in by this', 'bench practice'),
  endRowMm: length(25, 1, 'a hemmed end of the boxing is closed by a row this far from its fold', 'bench practice'),
  ridgeStopMm: length(13, 1 / 2, 'a ridge stops this far from a bulky corner, and goes on after it', 'bench practice'),
  frontRadiusMm: length(29.6, 29.6 / 25.4, 'radius of a waterfall’s side boxings at the front', 'the front then takes the height less 25 mm or an inch'),
  blockZipInsetMm: length(50, 2, 'the zip in a block’s base lies this far inside its seam line', 'bench practice'),
  blockZipRadiusMm: length(25, 1, 'radius of the corners of a zip that is sewn round', 'no zip turns much tighter'),
  blockStopMm: length(25, 1, 'tape beyond the slit at each end of the zip in a base', 'lining is folded across it as a stop'),
  rollPitchMm: length(38, 1.5, 'from stitch to stitch of a rolled edge', 'bench practice; others take 50 mm or 2 in'),
  rollInsetMm: length(13, 1 / 2, 'the stitches of a rolled edge lie this far in from the seam', 'bench practice'),
  rollStitchMm: length(6, 1 / 4, 'length of a stitch of a rolled edge', 'bench practice'),
  easierRollMm: length(13, 1 / 2, 'a boxing is cut higher by this where the roll is to be worked more easily', 'bench practice'),
  tuftEveryMm: length(250, 10, 'from tuft to tuft', 'bench practice'),
  tuftClearMm: length(60, 2.5, 'no tuft is nearer to the edge than this', 'bench practice'),
  tuftTwineMm: length(300, 12, 'twine of a tuft over twice the cushion’s thickness', 'to thread a needle and knot'),
  rollTwineRatio: ratio(4, 'twine of a rolled edge to its length', 'bench practice'),
  splitGapMm: length(4, 1 / 8, 'gap between two cushions of one seat', 'room to put them in'),
  zipShortMm: length(50, 2, 'a zip shorter than the back ends this far from each corner', 'bench practice'),
  zipPastTieMm: length(50, 2, 'a zip of a fraction of the round runs this far beyond each tie', 'bench practice'),
  placketMm: length(75, 3, 'length of the separate piece that hides an end of the zip', 'bench practice'),
  endHemMm: length(13, 1 / 2, 'turned in at an end of the boxing that is hemmed over the plaque', 'bench practice'),
  endLapMm: length(50, 2, 'a hemmed end laps over the plaque by this', 'bench practice'),
  teethGapMm: length(3, 1 / 8, 'from a zip’s teeth to the edge of a strip beside them', 'bench practice'),
  zipLapMm: length(12, 1 / 2, 'a lapped plaque covers the teeth by this', 'bench practice'),
  zipTurnMm: length(10, 3 / 8, 'allowance with which a strip is joined to the zip’s tape', 'bench practice'),
  hookTapeMm: length(25, 1, 'width of hook-and-loop tape', 'the usual width'),
  weltTightMm: plain(40, 'mm', 'welt cut with the threads of a woven cloth does not lie round a radius under this', 'bench practice'),
  tieLengthMm: length(600, 24, 'length of a tie', '560 to 635 in use'),
  tieWidthMm: length(19, 3 / 4, 'width of a tie, finished', 'bench practice'),
  tieTurnMm: length(6, 1 / 4, 'turned in on both edges of a tie or handle strip', 'bench practice'),
  handleLengthMm: length(300, 12, 'length of a handle strip with both its ends', 'bench practice'),
  handleWidthMm: length(30, 1.25, 'width of a handle, finished', 'bench practice'),
  buttonMm: length(22, 7 / 8, 'diameter of a covered button', 'ordinary upholstery button'),
  buttonTwineMm: length(300, 12, 'twine of a pair of buttons over twice the core’s height', 'to thread a needle and knot'),
  drainInsetMm: length(75, 3, 'a drain panel lies this far inside the bottom plate’s seam line', 'bench practice'),
  drainLapMm: length(13, 1 / 2, 'mesh outside its seam, and cloth turned in along it', 'bench practice'),
  gripInsetMm: length(13, 1 / 2, 'an anti-slip base ends this far inside the bottom plate’s seam line', 'bench practice'),
  thinPadMm: plain(60, 'mm', 'pads up to this are thin and want firm foam', 'bench practice'),
} as const satisfies Record<string, Assumption>;

export type AssumptionKey = keyof typeof ASSUMPTIONS;

/** Calibrated values of a shop, by key, millimetres or ratios; what is absent is as shipped. */
export type Calibration = Partial<Record<AssumptionKey, number>>;

/** Every constant for jobs in `system`: the shop's calibrated value, else the shipped one of that system. Lengths in millimetres. */
export function allAssumed(calibration: Calibration, system: UnitSystem): Readonly<Record<AssumptionKey, number>> {
  const rows = Object.entries(ASSUMPTIONS) as [AssumptionKey, Assumption][];
  const values = rows.map(([key, { value, unit }]) => [key, calibration[key] ?? (unit === 'length' ? pairMm(value, system) : value.mm)]);
  return Object.fromEntries(values) as Record<AssumptionKey, number>;
}

/** The constants as shipped, for computing without a shop. */
export function shipped(key: AssumptionKey): number {
  return ASSUMPTIONS[key].value.mm;
}

/** A way to look constants up: a shop's, or `shipped`. */
export type Constants = (key: AssumptionKey) => number;
