import { InputError, reckonSheet, type FieldIssue, type FullMould, type ReckonedPart } from '@dewpot/core';
import { partsOf, type MixView, type MouldView, type PourInput, type PourPart, type PourView } from '@dewpot/contract';
import type { SessionView } from '@dewpot/contract';
import type { Palette } from '../api/tints';
import { lessonsFor } from '../mixes';

/** Everything that a plan is made from. */
export interface PlanSources {
  readonly moulds: readonly MouldView[];
  readonly mixes: readonly MixView[];
  readonly palette: Palette;
  readonly workshop: SessionView['workshop'];
  readonly pours: readonly PourView[];
  /** Moulds in which casts still set. */
  readonly full: readonly FullMould[];
  /** ms */
  readonly now: number;
}

/** What is poured of one mix, with its sheet. */
export type SheetPart = PourPart & ReckonedPart;

/** What a person's choices come to: mix by mix with their sheets, or what is wrong with them. */
export interface Reckoned {
  /** As far as they could be made; without sheets where something is wrong. */
  readonly parts: readonly PourPart[];
  /** Undefined where something is wrong. */
  readonly sheets?: readonly SheetPart[] | undefined;
  readonly issues: readonly FieldIssue[];
}

/** The parts of a person's choices with their sheets, or what is wrong; undefined while something is not chosen. */
export function reckonChoices(input: PourInput, sources: PlanSources): Reckoned | undefined {
  const { moulds, mixes, palette, workshop, pours, now } = sources;
  const { stores, find, tints, colours } = palette;
  const scoop = stores.scoops.find(({ id }) => id === input.scoopId);
  if (!scoop || !mixes.some(({ id }) => id === input.mixId)) return undefined;
  const lessons = (mixId: string) => lessonsFor(mixId, pours);
  const runs = pours.flatMap((pour) => pour.lessons ?? []);
  let parts: readonly PourPart[] = [];
  try {
    const { lots } = stores;
    parts = partsOf(input, { moulds, mixes, scoop, find, tints, colours, lots, lessons, runs, workshop, now });
    return { parts, sheets: parts.map((part) => ({ ...part, sheet: reckonSheet(part.plan) })), issues: [] };
  } catch (error) {
    if (error instanceof InputError) return { parts, issues: error.issues };
    throw error;
  }
}

/** What of a pour's parts one of its items is: its mould as it is poured, and the part it belongs to. */
export function itemOf(parts: readonly PourPart[], at: number) {
  for (const part of parts) {
    const item = part.plan.items[part.items.indexOf(at)];
    if (item) return { item, part };
  }
  return undefined;
}
