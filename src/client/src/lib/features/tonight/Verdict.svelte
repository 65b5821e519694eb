<script lang="ts">
  import { BookmarkPlus, CookingPot } from '@lucide/svelte';
  import { v7 as uuid } from 'uuid';
  import { api, type Kitchen, type Plan } from '../../api/client';
  import type { Problem } from '../../api/problem';
  import { dinnersOf } from '../../format/chance';
  import { paceTime } from '../../format/pace';
  import { clock, dayName, dayOf, range } from '../../format/time';
  import { stepLine } from '../../format/words';
  import { say } from '../../messages/say';
  import { kept } from '../../state/kept.svelte';
  import type { Tonight } from '../../state/tonight.svelte';
  import WhyLink from '../why/WhyLink.svelte';
  import TakeAway from './TakeAway.svelte';
  import Marked from '../../ui/Marked.svelte';

  type Props = {
    tonight: Tonight;
    plan: Plan;
    kitchen: Kitchen;
    onkept: (id: string) => void;
    onstove: (id: string) => void;
  };
  let { tonight, plan, kitchen, onkept, onstove }: Props = $props();

  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const table = $derived(plan.steps.find((s) => s.kind === 'table'));
  const late = $derived(table ? range(table.early, table.late, kitchen.zone) : '');
  /** Whether the plan asks for a look that the clock could be set against. */
  const looks = $derived(plan.steps.some((s) => s.kind === 'look'));
  /** What is to be done before anything else. */
  const first = $derived(plan.steps.find((s) => s.kind !== 'soaking'));
  let problem = $state<Problem | null>(null);
  let saved = $state('');

  async function keep() {
    const { open } = tonight;
    const title =
      open && open.dish.pulseId === tonight.dish.pulseId && open.dish.riceId === tonight.dish.riceId
        ? open.title
        : plan.title;
    const answer = await kept.keep(title, tonight.dish, open);
    if ('code' in answer) {
      problem = answer;
      return;
    }
    problem = null;
    tonight.open = answer;
    saved = say('verdict.kept', { title: answer.title });
    onkept(answer.id);
  }

  /** Kept if it was not, started, and over to the stove. */
  async function cook() {
    const changed = JSON.stringify(tonight.open?.dish) !== JSON.stringify(tonight.dish);
    if (!tonight.open?.started && changed) await keep();
    const { open } = tonight;
    if (!open || problem) return;
    const answer = await api.startStove(open.id, {
      eventId: uuid(),
      occurredAt: kitchen.now,
      basedOn: open.version,
    });
    if (answer.ok) onstove(open.id);
    else problem = answer.problem;
  }
</script>

<header>
  <h1 class="text-[1.9rem] leading-tight">
    <Marked
      class="text-secondary font-normal"
      text={say('verdict.title_marked', {
        title: plan.title,
        day: dayName(dayOf(plan.serveAt, kitchen.zone), today),
        time: clock(plan.serveAt, kitchen.zone),
      })}
    />
  </h1>
  <p class="mt-1" aria-live="polite" aria-atomic="true" data-verdict>
    {say('verdict.table', { when: late })}
    {say('verdict.right')} <strong>{dinnersOf(plan.withLooks)}</strong>
    {looks ? say('verdict.looks', { clock: dinnersOf(plan.byClock) }) : say('verdict.clock')}
    <WhyLink reason="two_chances" />
    {#if plan.sauce}{say('plan.sauce', {
        ...plan.sauce,
        changes: plan.sauce.hot === plan.sauce.onThePlate ? 'no' : 'yes',
      })}{/if}
    {#if plan.bag && (plan.bag.pace.dinners || plan.bag.pace.otherBags)}
      <a class="link" href="/cupboard" data-bag-line
        >{say('bag.line', {
          bag: plan.bag.name,
          named: plan.bag.name ? 'yes' : 'no',
          time: paceTime(plan.bag.pace),
          dinners: plan.bag.pace.dinners,
        })}</a
      >
    {/if}
    {#if plan.base === 'crust'}{say('verdict.crust')}{/if}
    {#if plan.base === 'scorched'}<strong class="text-error">{say('verdict.scorched')}</strong>{/if}
  </p>
  <div class="flex flex-wrap items-center gap-x-6 gap-y-1">
    <p class="min-w-0 flex-1 basis-64 font-semibold">
      {#if first}{say('verdict.first', {
          day: dayName(dayOf(first.at, kitchen.zone), today),
          time: clock(first.at, kitchen.zone),
          what: stepLine(first, plan).title,
        })}{/if}
    </p>
    <div class="no-print flex flex-wrap gap-1">
      <TakeAway {tonight} {plan} />
      {#if !tonight.open?.started}
        <button class="btn" onclick={keep}>
          <BookmarkPlus size={18} />
          {tonight.open ? say('verdict.keep_changes') : say('verdict.keep')}
        </button>
      {/if}
      <button class="btn btn-primary" onclick={cook}
        ><CookingPot size={18} />
        {say('verdict.to_stove')}</button
      >
    </div>
  </div>
</header>
{#if tonight.open?.modelMoved}
  <p class="mt-2 text-sm" role="status">
    {say('verdict.older', {
      range: range(tonight.open.summary.tableEarly, tonight.open.summary.tableLate, kitchen.zone),
    })}
  </p>
{/if}
{#if problem}<p class="text-error mt-2" role="alert">{problem.detail}</p>{/if}
{#if saved}<p class="text-success mt-1 text-sm" role="status">{saved}</p>{/if}
