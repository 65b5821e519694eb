import { createRouter } from 'sv-router';
import Cupboard from './routes/Cupboard.svelte';
import Dinners from './routes/Dinners.svelte';
import FromNotes from './routes/FromNotes.svelte';
import NotBuilt from './routes/NotBuilt.svelte';
import PastDinner from './routes/PastDinner.svelte';
import Pots from './routes/Pots.svelte';
import Stove from './routes/Stove.svelte';
import Tonight from './routes/Tonight.svelte';
import Why from './routes/Why.svelte';

/** The seven views; those that do not work yet say so and are not in the navigation. */
export const { p, navigate, isActive, route } = createRouter({
  '/': Tonight,
  '/dinner/:id': Tonight,
  '/notes': FromNotes,
  '/pots': Pots,
  '/why': Why,
  '/stove': Stove,
  '/stove/:id': Stove,
  '/practice': NotBuilt,
  '/dinners': Dinners,
  '/dinners/:id': PastDinner,
  '/cupboard': Cupboard,
  '*': NotBuilt,
});
