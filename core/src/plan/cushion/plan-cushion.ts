import { testFitProblems } from '../../allowance/test-fit';
import type { Construction, FieldGroup } from '../../cover/contract';
import { findConstruction } from '../../cover/list';
import type { Cushion } from '../../job/document';
import { given } from '../../kernel/figure';
import { issue, under, type Issue } from '../../kernel/issue';
import type { School } from '../../shop/schools';
import type { Shop } from '../../shop/shop';
import { shapeOf } from '../../template/shapes/shapes';
import { askedOf } from './steps/asked';
import type { CushionContext } from './steps/context';
import { blocked, type ConstructionWords, type CushionPlan, type Known } from './cushion-plan';
import { coreNotions } from './steps/core-notions';
import { cutsOf } from './as-cut/cut';
import { crownProblems, notModelled } from './fit';
import { keptCover, lookedOver } from './old/look-over';
import { coredCushion } from './steps/step-core';
import { coveredCushion } from './steps/step-cover';
import { fittedCushion } from './steps/step-fit';
import { seatOf, sizedCushion } from './steps/step-sizes';
import { workedCushion } from './steps/step-work';
import { watch } from './feel/watch';
import { cornerFillingOf, endFillingOf } from './wrap';

const groupsOf = ({ fields }: Construction): FieldGroup[] => [...new Set(fields.map(({ group }): FieldGroup => group ?? 'made'))];

/** What the cushion's construction is called; one that is not known by its kind alone. */
function wordsOf({ construction: choices }: Cushion, construction: Construction | undefined): ConstructionWords {
  if (!construction) return { kind: choices.kind, name: choices.kind, detail: '', groups: [] };
  return { kind: construction.kind, name: construction.name, detail: construction.says(choices), groups: groupsOf(construction) };
}

/** Derives one cushion in five steps, each from those before it: its sizes, cover, core, fit and work. Total, pure, and independent of the others. */
export function planCushion(cushion: Cushion, context: CushionContext): CushionPlan {
  const { shop, units, assume } = context;
  const construction = findConstruction(cushion.construction, context.constructions);
  const known: Omit<Known, 'problems'> = {
    source: cushion,
    construction: wordsOf(cushion, construction),
    seat: seatOf(cushion),
    asked: askedOf(cushion, shop, units),
    padLoftMm: assume('hollowPadLoftMm'),
    keptCover: keptCover(cushion),
  };
  if (!construction) return blocked(known, null, [issue('error', 'construction-unknown', 'construction.kind', { kind: cushion.construction.kind })]);
  const sized = sizedCushion(cushion, construction, context);
  if (!sized.sizes) return blocked(known, sized.school, sized.problems);
  const { school, sizes, outlines, profile, loftMm } = sized;
  const looked = lookedOver({ ...known, sizes });
  const covered = coveredCushion(cushion, construction, sized, context);
  const cored = coredCushion(cushion, { construction, looked, padLoftMm: known.padLoftMm }, sized, covered, context);
  const { cover, crown, muslin } = covered;
  const pieces = [...(known.keptCover ? [] : covered.coverPieces), ...(muslin ? [muslin] : []), ...cored.corePieces, ...cored.wadding];
  const endFilling = loftMm > 0 ? endFillingOf(sizes, school, assume) : null;
  const fitted = fittedCushion(cushion, sized, covered, cored, context);
  const work = workedCushion(cushion, { keptCover: known.keptCover, looked, pieces }, sized, { cover, muslin, wrapWay: cored.wrapWay, endFilling }, context);
  return {
    ...known,
    state: 'planned',
    school,
    sizes,
    outlines,
    profile,
    lines: construction.lines(cushion.construction, { widthMm: sizes.sewn.width.value, assume }),
    wrap: given('wrap', loftMm, cushion.wrapLoftMm === undefined ? 'school' : 'entered'),
    wrapWay: cored.wrapWay,
    cornerFilling: cornerFillingOf(outlines.sewn, sizes, loftMm, school, assume),
    pieces,
    cuts: pieces.flatMap((piece) => cutsOf(piece, cushion.quantity)),
    cover,
    operations: work.operations,
    coreNotions: coreNotions({
      pieces,
      operations: work.operations,
      outline: outlines.core,
      sizes,
      wrapFix: cushion.wrapFix ?? shop.document.wrapFix ?? 'adhesive',
      onBoard: profile.onBoard,
      assume,
    }),
    looked,
    fit: fitted.fit,
    fitRequest: fitted.fitRequest,
    crown,
    longCore: cored.longCore,
    problems: [
      ...under('template', shapeOf(cushion.template).remarks?.(cushion.template) ?? []),
      ...notModelled(cushion, shop, profile, construction),
      ...crownProblems(cushion, profile, construction),
      ...(known.keptCover ? keptCoverProblems(cushion) : cover.problems),
      ...covered.problems,
      ...(sized.testFit ? testFitProblems(sized.testFit, sized.testFit.planned) : []),
      ...(cushion.testFit && !sized.testFit ? [issue('warning', 'test-fit-not-here', 'testFit', { construction: construction.name.toLowerCase() })] : []),
      ...cored.problems,
      ...editionProblems(cushion, school, shop),
      ...fitted.problems,
      ...watch({
        source: cushion,
        featherOnly: covered.ownFeather === 'all',
        wrapLoftMm: loftMm,
        rolls: cored.rolls,
        looked,
        certified: known.asked.certified ?? false,
        comesOff: construction.traits(cushion.construction).washable,
        shop,
        units,
      }),
      ...work.problems,
    ],
  };
}

/** What an old cover that goes back on has to be asked: its own size. */
const keptCoverProblems = ({ given: measuredAs }: Cushion): Issue[] =>
  measuredAs === 'sewn' ? [] : [issue('note', 'kept-cover-not-measured', 'seat.oldCover')];

/** A cushion that keeps the numbers of a shipped school from before they were corrected. */
function editionProblems({ schoolEdition }: Cushion, school: School, shop: Shop): Issue[] {
  const newest = shop.school(school.id)?.edition;
  if (schoolEdition === undefined || newest === undefined || schoolEdition >= newest) return [];
  return [issue('note', 'school-edition-older', 'schoolEdition', { school: school.name, edition: schoolEdition, newest })];
}
