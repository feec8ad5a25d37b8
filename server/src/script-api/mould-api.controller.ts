import { msg } from '@dewpot/core/units';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import {
  ballast,
  ballastByLift,
  bedSand,
  boxFootprint,
  calculateMould,
  calculateShells,
  checkGrain,
  faces,
  fillCurve,
  findPairs,
  fullVolume,
  heightFor,
  layerHeights,
  levelError,
  meshForSlab,
  meshForWall,
  narrowestGap,
  releases,
  releasesFor,
  thinnestWall,
  undercut,
  volumeByMass,
  volumeTo,
} from '@dewpot/core/moulds';
import { volumeFigure } from '@dewpot/core/solids';
import {
  BallastQuestion,
  CavityQuestion,
  FillQuestion,
  GrainQuestion,
  LevelQuestion,
  MeasuredQuestion,
  MeshCutQuestion,
  PairsQuestion,
  PanelBoxQuestion,
  ReleaseQuestion,
  checkedShape,
  ShellQuestion,
  checkedSolid,
  LeafInput,
  SolidInput,
  solids,
  byKind,
} from '@dewpot/contract';
import { Calculated } from '../calculation/calculated.js';
import { apiExample } from './api-example.js';
import { nameOf } from './names.js';
import { examples } from './mould-examples.js';

/** Mould questions for scripts: a plain description in, figures with basis and working out. Nothing is kept. */
@Calculated()
@Controller('api/calculate/moulds')
export class MouldApiController {
  /** Everything that a mould's measurements imply. */
  @Post('cavity')
  @HttpCode(200)
  @apiExample(CavityQuestion, examples.cavity)
  cavity(@Body() { shape, ...options }: CavityQuestion) {
    return calculateMould(checkedShape(shape), options);
  }

  /** One solid by itself, of any kind that a tape measures. */
  @Post('solid')
  @HttpCode(200)
  @apiExample(SolidInput, examples.solid)
  solid(@Body() question: SolidInput) {
    return { volume: volumeFigure(checkedSolid(byKind(solids, question))) };
  }

  /** A pressed shell at several thicknesses. */
  @Post('shell')
  @HttpCode(200)
  @apiExample(ShellQuestion, examples.shell)
  shell(@Body() { form, side, thicknesses, density }: ShellQuestion) {
    return { shells: calculateShells(checkedSolid(form), side, thicknesses, density) };
  }

  /** The fill curve, volumes to heights, heights for volumes, and where layers end. */
  @Post('fill')
  @HttpCode(200)
  @apiExample(FillQuestion, examples.fill)
  fill(@Body() { shape: given, heights = [], volumes = [], layers = [] }: FillQuestion) {
    const shape = checkedShape(given);
    return {
      volume: fullVolume(shape),
      curve: fillCurve(shape),
      volumes: heights.map((height) => volumeTo(shape, height)),
      heights: volumes.map((volume) => heightFor(shape, volume)),
      layers: layers.length > 0 ? layerHeights(shape, layers) : [],
    };
  }

  /** Areas of the faces by side, thinnest wall, narrowest gap and undercut. */
  @Post('faces')
  @HttpCode(200)
  @apiExample(FillQuestion, { shape: examples.fill.shape })
  faces(@Body() { shape: given }: FillQuestion) {
    const shape = checkedShape(given);
    return {
      faces: faces(shape),
      thinnest: thinnestWall(shape) ?? null,
      gap: narrowestGap(shape),
      undercut: undercut(shape) ?? null,
    };
  }

  /** What holds the cores down, in one pour and lift by lift. */
  @Post('ballast')
  @HttpCode(200)
  @apiExample(BallastQuestion, examples.ballast)
  ballast(@Body() { shape: given, density, coreMass = 0, lifts, from, to, sand }: BallastQuestion) {
    const shape = checkedShape(given);
    const holding = {
      coreMass,
      ...(sand !== undefined && { sand: { name: nameOf(msg('server.theSand')), bulk: sand } }),
    };
    const lift = { ...(from !== undefined && { from }), ...(to !== undefined && { to }) };
    const whole = ballast(shape, density, { ...holding, ...lift }) ?? null;
    return { whole, lifts: lifts === undefined ? [] : ballastByLift(shape, density, lifts, holding) };
  }

  /** A volume by what filled the mould. */
  @Post('measured')
  @HttpCode(200)
  @apiExample(MeasuredQuestion, examples.measured)
  measured(@Body() { by, mass, density }: MeasuredQuestion) {
    return { volume: volumeByMass(by, mass, density) };
  }

  /** Which of some tubs nest to give a wanted wall and base, best first. */
  @Post('pairs')
  @HttpCode(200)
  @apiExample(PairsQuestion, examples.pairs)
  pairs(@Body() { tubs, wall, base }: PairsQuestion) {
    const known = tubs.map(({ name, inside, wall: own }, i) => ({
      id: String(i),
      name,
      inside: checkedSolid(inside),
      wall: own,
    }));
    return { pairs: findPairs(known, { wall, base }) };
  }

  /** The largest grain against the narrowest gap and the mesh. */
  @Post('grain')
  @HttpCode(200)
  @apiExample(GrainQuestion, examples.grain)
  grain(@Body() { grain, gap, meshOpening }: GrainQuestion) {
    return checkGrain(grain, gap, meshOpening);
  }

  /** By how much a slab out of level comes out thicker at one end. */
  @Post('level')
  @HttpCode(200)
  @apiExample(LevelQuestion, examples.level)
  level(@Body() { length, slope }: LevelQuestion) {
    return { error: levelError(length, slope) };
  }

  /** Mesh or wire to cut, with its cover. */
  @Post('mesh-cut')
  @HttpCode(200)
  @apiExample(MeshCutQuestion, examples.meshCut)
  meshCut(@Body() { piece, length, width, cover }: MeshCutQuestion) {
    return piece === 'slab' ? meshForSlab(length, width, cover) : meshForWall(length, width, cover);
  }

  /** The real footprint of a box of flat panels. */
  @Post('panel-box')
  @HttpCode(200)
  @apiExample(PanelBoxQuestion, examples.panelBox)
  panelBox(@Body() question: PanelBoxQuestion) {
    return boxFootprint(question);
  }

  /** Damp sand under a leaf. */
  @Post('bed-sand')
  @HttpCode(200)
  @apiExample(LeafInput, examples.leaf)
  bedSand(@Body() question: LeafInput) {
    const leaf = checkedSolid(question);
    return { sand: leaf.kind === 'leaf' ? bedSand(leaf) : null };
  }

  /** What to put on a mould of a material, best first. */
  @Post('release')
  @HttpCode(200)
  @apiExample(ReleaseQuestion, examples.release)
  release(@Body() { material }: ReleaseQuestion) {
    return { releases: releasesFor(material).map((key) => ({ key, ...releases[key] })) };
  }
}
