<script lang="ts">
  import { Moon, Sun } from '@lucide/svelte';
  import { Router, isActiveLink } from 'sv-router';
  import { onMount } from 'svelte';
  import PairForm from './lib/features/kitchen/PairForm.svelte';
  import { household } from './lib/state/kitchen.svelte';
  import { theme } from './lib/state/theme.svelte';
  import { version } from './lib/state/version.svelte';
  import { p, route } from './router';
  import { say } from './lib/messages/say';
  import { units } from './lib/messages/units.svelte';
  import { keepsHand } from './lib/ui/hand';

  /** A page that is left open knows the day, and what was changed elsewhere. */
  const refreshEvery = 5 * 60_000;
  onMount(() => {
    void household.load();
    const refresh = () => {
      if (document.visibilityState !== 'visible') return;
      void household.refresh();
      version.look();
    };
    const timer = setInterval(refresh, refreshEvery);
    document.addEventListener('visibilitychange', refresh);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', refresh);
    };
  });
  $effect(() => version.begin(route.pathname.startsWith('/stove')));
  $effect(() => {
    document.documentElement.dataset.theme = theme.current;
    document.documentElement.dataset.hours = units.amPm ? 'am_pm' : '24';
  });

  /** A dinner belongs to Tonight, an evening to the stove. */
  const isWithin = (view: string) =>
    (view === '/' && route.pathname.startsWith('/dinner/')) ||
    (view === '/stove' && route.pathname.startsWith('/stove/')) ||
    (view === '/dinners' && route.pathname.startsWith('/dinners/')) ||
    (view === '/practice' && route.pathname.startsWith('/practice/'));

  const views = [
    { href: p('/'), id: 'tonight' },
    { href: p('/dinners'), id: 'dinners' },
    { href: p('/stove'), id: 'stove' },
    { href: p('/practice'), id: 'practice' },
    { href: p('/cupboard'), id: 'cupboard' },
    { href: p('/pots'), id: 'pots' },
    { href: p('/why'), id: 'why' },
  ] as const;
</script>

<a class="no-print sr-only focus:not-sr-only" href="#main">{say('page.to_main')}</a>
<header class="no-print border-primary bg-base-100 border-b-4">
  <div class="mx-auto flex max-w-[1400px] items-center gap-1.5 px-2 py-2 sm:gap-6 sm:px-6">
    <a href={p('/')} class="display text-primary flex items-center gap-2 text-xl whitespace-nowrap">
      <img src="/bean.svg" alt="" width="30" height="30" class="hidden min-[26rem]:block" />
      <span class="sr-only sm:not-sr-only">Bright Kettle</span>
    </a>
    <nav aria-label={say('page.views')} class="flex min-w-0 overflow-x-auto sm:gap-2 lg:gap-3">
      {#each views as view (view.href)}
        <a
          href={view.href}
          class="[&.is-active]:bg-primary [&.is-active]:text-primary-content flex items-center rounded-lg px-1 py-1.5 text-[0.88rem] font-semibold whitespace-nowrap sm:px-3 sm:text-base {isWithin(
            view.href,
          )
            ? 'bg-primary text-primary-content'
            : ''}"
          aria-current={isWithin(view.href) || route.pathname === view.href ? 'page' : undefined}
          {@attach isActiveLink()}
          ><span class="sm:hidden">{say(`view.${view.id}.short`)}</span><span class="hidden sm:inline"
            >{say(`view.${view.id}`)}</span
          ></a
        >
      {/each}
    </nav>
    <button
      class="btn btn-ghost btn-circle ml-auto shrink-0"
      onclick={() => theme.toggle()}
      aria-label={theme.current === 'enamel-day' ? say('page.night') : say('page.day')}
    >
      {#if theme.current === 'enamel-day'}<Moon />{:else}<Sun />{/if}
    </button>
  </div>
</header>
{#if version.newer}
  <div class="no-print alert alert-info rounded-none py-2" role="status">
    <p class="min-w-0 flex-1">{say('page.newer')}</p>
    <button class="btn" onclick={() => version.take()}>{say('page.take_newer')}</button>
  </div>
{/if}
<main id="main" {@attach keepsHand} class="mx-auto max-w-[1400px] px-4 py-4 sm:px-6">
  {#if household.kitchen.state === 'failed' && household.kitchen.problem.code === 'pair.needed'}
    <PairForm onpaired={() => household.load()} />
  {:else}
    <Router />
  {/if}
</main>
