import type { BinderClass } from '../../mixing/binders/index.js';

export type Bath = 'water' | 'vinegar' | 'leach';

/** What each bath is for, how long, and its caution. */
export const baths: Record<
  Bath,
  { readonly name: string; readonly does: string; readonly caution: string; readonly most: number }
> = {
  water: {
    name: 'Water bath',
    does: 'keeps every face wet; good for thin open faces in heat',
    caution:
      'Gloves: the water turns caustic. Lift it out with two hands or two people: wet it is heavier. Never pour the water down a drain; let it settle.',
    most: 28 * 24,
  },
  vinegar: {
    name: 'Vinegar bath, 1 part in 10 to 20 of water',
    does: 'takes the lime off the face in up to a day',
    caution:
      'It etches the surface: try a tile first. Gloves and goggles, open air, no metal tub; rinse well after. A day at the most.',
    most: 24,
  },
  leach: {
    name: 'Leaching soak',
    does: 'takes the lime out for plants, fish and birds: three times a day or two, in fresh water each time',
    caution: 'The water turns caustic: gloves, out of reach of children and animals. Do not water plants with it.',
    most: 14 * 24,
  },
};

/** What to say of a bath for a piece of this binder, where there is something to say. */
export function bathNote(bath: Bath, binderClass: BinderClass): string | undefined {
  if (binderClass === 'gypsum') return 'Do not soak set gypsum. Water softens it.';
  if (bath === 'water' && binderClass === 'fast-setting')
    return 'A fast-setting mix does not need it where its moulded faces stayed covered.';
  return undefined;
}
