import { jobSchema, outlineOf, type CushionPlan, type Job } from '@yardland/core';
import gallery from '../../../../demo/jobs/gallery-and-boxes.json';
import { dropIndex } from '../filling/filling-scene';
import { longCoreWords } from '../look-over/long-core-scene';
import { toggled } from '../look-over/seat-editor';
import { templateOrigin } from '../shared/table/cushion-scene';
import { shapeDimensions } from '../shared/table/shape-dimensions';
import type { SceneItem } from '../shared/table/scene';
import { solvedPlan } from '../testing/opened-job';
import { measureWord, withMeasure } from './measures';
import { evenScene, marksScene, measuresScene, pointsScene } from './template-scene';

const job: Job = jobSchema.parse(gallery);
const plans = solvedPlan(job).cushions;
const traced = plans[5] as CushionPlan;
const tShape = plans[2] as CushionPlan;
const of = <K extends SceneItem['kind']>(items: readonly SceneItem[], kind: K) =>
  items.filter((item): item is Extract<SceneItem, { kind: K }> => item.kind === kind);

const words = (mm: number): string => `${mm.toFixed(1)} mm`;

describe('the template on the table', () => {
  it('has every measure of its shape written on it to type over, and grips for width and depth', () => {
    const { items } = measuresScene(tShape, 'one');
    expect(of(items, 'dim').map((dim) => [dim.key, dim.mm, dim.edit !== undefined])).toEqual([
      ['widthMm', 640, true],
      ['backWidthMm', 500, true],
      ['depthMm', 560, true],
      ['earDepthMm', 140, true],
    ]);
    expect(of(items, 'handle').map((grip) => grip.key)).toEqual(['widthMm', 'depthMm']);
    expect(of(items, 'area').map((area) => area.key)).toContain('outline-cut');
    // What a drawn outline reaches is told, not typed.
    expect(of(shapeDimensions(traced), 'dim').every((dim) => dim.edit === undefined)).toBeTrue();
  });

  it('has a knob for every point, two handles for every curve and a bulge for every other side, where they are', () => {
    const { items } = pointsScene(traced, 'one', 0, words);
    const { segments } = outlineOf(traced.source.template).outline;
    const curves = segments.filter((segment) => segment.kind === 'cubic').length;
    const knobs = of(items, 'knob');
    expect(knobs.filter((knob) => knob.look === 'corner').length).toBe(segments.length);
    expect(knobs.filter((knob) => knob.look === 'control').length).toBe(2 * curves);
    expect(knobs.filter((knob) => knob.look === 'smooth').length).toBe(segments.length - curves);
    const origin = templateOrigin(traced);
    const first = knobs.find((knob) => knob.key === 'point-0');
    expect(first?.at).toEqual({ x: segments[0]!.from.x + origin.x, y: segments[0]!.from.y + origin.y });
    expect(knobs.filter((knob) => knob.picked).map((knob) => knob.key)).toEqual(['middle-0', 'point-0']);
  });

  it('says of every point where it lies and how long its sides are, and of every tie how far along its edge it is', () => {
    const [first] = of(pointsScene(tShape, 'one', 0, words).items, 'knob').filter((knob) => knob.look === 'corner');
    // The front left corner: the ear's side, 140, comes before it, the front, 640, after it.
    expect(first?.place).toBe('0.0 mm from the left, 0.0 mm from the front, sides 140.0 mm and 640.0 mm long');
    const [tie] = of(marksScene(plans[1] as CushionPlan, 'one', 0, words).items, 'knob');
    const [along, edge] = [...(tie?.place ?? '').matchAll(/([\d.]+) mm/g)].map(([, mm]) => Number(mm));
    expect(along).toBeCloseTo((edge ?? 0) / 2, 0);
  });

  it('rings the place where the halves differ most, and nothing on a shape that is even', () => {
    expect(of(evenScene(traced, 'one', null, words).items, 'note').some((note) => /mm apart here/.test(note.text))).toBeTrue();
    expect(of(evenScene(tShape, 'one', null, words).items, 'note').some((note) => note.text.includes('apart'))).toBeFalse();
  });

  it('shows ties as knobs on the seam line and buttons on the face', () => {
    const chair = of(marksScene(plans[1] as CushionPlan, 'one', 0, words).items, 'knob');
    expect(chair.map((knob) => [knob.name, knob.look])).toEqual([['Tie 1, back', 'mark']]);
    const bay = of(marksScene(plans[4] as CushionPlan, 'one', 0, words).items, 'knob');
    expect(bay.map((knob) => knob.look)).toEqual(['smooth', 'smooth']);
  });

  it('sets measures, leaves out what may be left out, and names the change', () => {
    const cushion = tShape.source;
    expect(measureWord(cushion, 'widthMm')).toBe('Width');
    expect(measureWord(cushion, 'backWidthMm')).toBe('Between the arms');
    expect(withMeasure(cushion, 'earDepthMm', 150).template).toEqual(jasmine.objectContaining({ earDepthMm: 150 }));
    const rectangle = { ...cushion, template: { shape: 'rectangle' as const, widthMm: 500, depthMm: 400, cornerRadiusMm: 30 } };
    expect(withMeasure(rectangle, 'cornerRadiusMm', 0).template).toEqual({ shape: 'rectangle', widthMm: 500, depthMm: 400 });
    expect(withMeasure(rectangle, 'cornerRadiusMm', null).template).toEqual({ shape: 'rectangle', widthMm: 500, depthMm: 400 });
  });
});

describe('things laid in order', () => {
  it('a dragged layer lands where its middle passes another’s', () => {
    const layers = [{ thicknessMm: 40 }, { thicknessMm: 80 }, { thicknessMm: 10 }];
    // From the board: 10, then 80 to 90, then 40 to 130.
    expect(dropIndex(layers, 0, 120)).toBe(0);
    expect(dropIndex(layers, 0, 45)).toBe(1);
    expect(dropIndex(layers, 0, 1)).toBe(2);
    expect(dropIndex(layers, 2, 129)).toBe(0);
  });

  it('findings are ticked and unticked, and a long core is told in words', () => {
    expect(toggled(['mould'], 'smell')).toEqual(['mould', 'smell']);
    expect(toggled(['mould', 'smell'], 'mould')).toEqual(['smell']);
    const inWords = { units: 'metric' as const, step: { mm: 1, inch: 1 / 8 } };
    expect(longCoreWords({ format: 'yardland/long-core-answer@1', kind: 'too-short', missingMm: 120 }, inWords)).toContain('120 mm too short');
    const plan = { used: [], cuts: 1, joins: [600], joinsClear: true };
    expect(longCoreWords({ format: 'yardland/long-core-answer@1', kind: 'plan', plan }, inWords)).toMatch(/^one cut and one join, none where somebody sits/);
    expect(longCoreWords({ format: 'yardland/long-core-answer@1', kind: 'plan', plan: { ...plan, joinsClear: false } }, inWords)).toContain(
      'but some where somebody sits',
    );
  });
});
