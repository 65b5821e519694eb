import { createRouter } from 'sv-router';
import NotBuilt from './routes/NotBuilt.svelte';
import Tonight from './routes/Tonight.svelte';

/** The seven views. All but the first come when they are asked for, so that the first is there sooner. */
export const { p, navigate, isActive, route } = createRouter({
  '/': Tonight,
  '/dinner/:id': Tonight,
  '/notes': () => import('./routes/FromNotes.svelte'),
  '/pots': () => import('./routes/Pots.svelte'),
  '/why': () => import('./routes/Why.svelte'),
  '/stove': () => import('./routes/Stove.svelte'),
  '/stove/:id': () => import('./routes/Stove.svelte'),
  '/practice': () => import('./routes/Practice.svelte'),
  '/practice/dinner': () => import('./routes/PracticeDinner.svelte'),
  '/practice/:scene/:pot': () => import('./routes/Practice.svelte'),
  '/dinners': () => import('./routes/Dinners.svelte'),
  '/dinners/:id': () => import('./routes/PastDinner.svelte'),
  '/cupboard': () => import('./routes/Cupboard.svelte'),
  '*': NotBuilt,
});
