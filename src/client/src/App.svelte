<script lang="ts">
  import { Moon, Sun } from '@lucide/svelte';
  import { Router, isActiveLink } from 'sv-router';
  import { onMount } from 'svelte';
  import PairForm from './lib/features/kitchen/PairForm.svelte';
  import { household } from './lib/state/kitchen.svelte';
  import { theme } from './lib/state/theme.svelte';
  import { p, route } from './router';

  /** A page that is left open knows the day, and what was changed elsewhere. */
  const refreshEvery = 5 * 60_000;
  onMount(() => {
    void household.load();
    const refresh = () => document.visibilityState === 'visible' && void household.refresh();
    const timer = setInterval(refresh, refreshEvery);
    document.addEventListener('visibilitychange', refresh);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', refresh);
    };
  });
  $effect(() => {
    document.documentElement.dataset.theme = theme.current;
  });

  /** A dinner belongs to Tonight, an evening to the stove. */
  const isWithin = (view: string) =>
    (view === '/' && route.pathname.startsWith('/dinner/')) ||
    (view === '/stove' && route.pathname.startsWith('/stove/')) ||
    (view === '/dinners' && route.pathname.startsWith('/dinners/')) ||
    (view === '/practice' && route.pathname.startsWith('/practice/'));

  const views = [
    { href: p('/'), name: 'Tonight', short: 'Tonight' },
    { href: p('/dinners'), name: 'Dinners', short: 'Dinners' },
    { href: p('/stove'), name: 'At the stove', short: 'Stove' },
    { href: p('/practice'), name: 'Practice', short: 'Try' },
    { href: p('/cupboard'), name: 'Cupboard', short: 'Bags' },
    { href: p('/pots'), name: 'My pots', short: 'Pots' },
    { href: p('/why'), name: 'Why', short: 'Why' },
  ];
</script>

<a class="no-print sr-only focus:not-sr-only" href="#main">To the page</a>
<header class="no-print border-primary bg-base-100 border-b-4">
  <div class="mx-auto flex max-w-[1400px] items-center gap-1.5 px-2 py-2 sm:gap-6 sm:px-6">
    <a href={p('/')} class="display text-primary flex items-center gap-2 text-xl whitespace-nowrap">
      <img src="/bean.svg" alt="" width="30" height="30" class="hidden min-[26rem]:block" />
      <span class="sr-only sm:not-sr-only">Bright Kettle</span>
    </a>
    <nav aria-label="Views" class="flex min-w-0 overflow-x-auto sm:gap-2 lg:gap-3">
      {#each views as view (view.href)}
        <a
          href={view.href}
          class="[&.is-active]:bg-primary [&.is-active]:text-primary-content rounded-lg px-1 py-1.5 text-[0.88rem] font-semibold whitespace-nowrap sm:px-3 sm:text-base {isWithin(
            view.href,
          )
            ? 'bg-primary text-primary-content'
            : ''}"
          {@attach isActiveLink()}
          ><span class="sm:hidden">{view.short}</span><span class="hidden sm:inline">{view.name}</span></a
        >
      {/each}
    </nav>
    <button
      class="btn btn-ghost btn-circle ml-auto shrink-0"
      onclick={() => theme.toggle()}
      aria-label={theme.current === 'enamel-day' ? 'Night kitchen' : 'Day kitchen'}
    >
      {#if theme.current === 'enamel-day'}<Moon />{:else}<Sun />{/if}
    </button>
  </div>
</header>
<main id="main" class="mx-auto max-w-[1400px] px-4 py-4 sm:px-6">
  {#if household.kitchen.state === 'failed' && household.kitchen.problem.code === 'pair.needed'}
    <PairForm onpaired={() => household.load()} />
  {:else}
    <Router />
  {/if}
</main>
