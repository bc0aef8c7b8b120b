import type { SectionId, SumsSection } from './emitted';

/** Titles of the parts of the work, and what the main figure of each is called there. */
export const SECTION_WORDS: Readonly<Record<SectionId, { readonly title: string; readonly hero?: string }>> =
  {
    well: { title: 'A well', hero: 'Batter, weighed into each' },
    oven: { title: 'The oven', hero: 'Baking time' },
    microwave: { title: 'The microwave' },
    mug: { title: 'A mug', hero: 'Batter, weighed into each' },
    cut: { title: 'Cut', hero: 'Pieces of a sheet' },
    crumb: { title: 'Crumb and binder', hero: 'Binder it will likely take' },
    portions: { title: 'Portions', hero: 'Dough, weighed for each' },
    shell: { title: 'Shell and back plate', hero: 'Chocolate on a piece' },
    coat: { title: 'The coat', hero: 'Coat on a piece' },
    filling: { title: 'Filling' },
    frosting: { title: 'Frosting' },
    lots: { title: 'Lots and toppings', hero: 'One piece, before toppings' },
  };

/** What is weighed at a link, and how. */
export const WEIGH_WORDS: Readonly<
  Record<NonNullable<SumsSection['weigh']>['what'], { readonly title: string; readonly hint: string }>
> = {
  binder: {
    title: 'Weighed the binder',
    hint: 'All that went in, the first addition and every spoon after it.',
  },
  dough: {
    title: 'Weighed the dough',
    hint: 'The full bowl less the empty one. Portions and coat are planned anew from it.',
  },
};
