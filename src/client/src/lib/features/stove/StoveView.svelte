<script lang="ts">
  import { within } from '../../messages/figures';
  import { changeLine } from '../../format/differences';
  import { say } from '../../messages/say';
  import { LifeBuoy, Plus, Undo2 } from '@lucide/svelte';
  import { onMount } from 'svelte';
  import { v7 as uuid } from 'uuid';
  import { api, type StoveState, type Trouble } from '../../api/client';
  import { learnedFacts, nowSentence } from '../../format/stove';
  import { clock, range } from '../../format/time';
  import { Alarms } from '../../state/stove/alarms.svelte';
  import { dueWords, type OtherPots } from '../../state/stove/others.svelte';
  import type { Stove } from '../../state/stove/stove.svelte';
  import PairForm from '../kitchen/PairForm.svelte';
  import AddPanel from './AddPanel.svelte';
  import AfterPanel from './AfterPanel.svelte';
  import AlarmBar from './AlarmBar.svelte';
  import ConflictCard from './ConflictCard.svelte';
  import EarlierPicker from './EarlierPicker.svelte';
  import InsideList from './InsideList.svelte';
  import LateBar from './LateBar.svelte';
  import NowCard from './NowCard.svelte';
  import OtherPotsStrip from './OtherPots.svelte';
  import PotGlance from './PotGlance.svelte';
  import RingCard from './RingCard.svelte';
  import RoadList from './RoadList.svelte';
  import SetAsideCard from './SetAsideCard.svelte';
  import ToldList from './ToldList.svelte';
  import TroublePanel from './TroublePanel.svelte';
  import VisitCard from './VisitCard.svelte';
  import Marked from '../../ui/Marked.svelte';

  type Props = { stove: Stove; others: OtherPots; evening: StoveState; onfinished: () => void };
  let { stove, others, evening, onfinished }: Props = $props();

  const alarms = new Alarms();
  let panel = $state<'add' | 'trouble' | null>(null);
  let trouble = $state<Trouble | null>(null);
  let failed = $state('');
  const moment = $derived(evening.moments.find((m) => m.id === evening.nowId));
  /** Rice that went in before its moment came. */
  const joinLater = $derived(
    evening.moments.find((m) => m.state === 'waiting' && m.id !== evening.nowId && m.join !== null),
  );
  let already = $state(false);
  const dueVisits = $derived(
    evening.setAsideFrom ? [] : evening.visits.filter((v) => Date.parse(v.at) <= stove.clock.now),
  );
  const last = $derived(
    stove.last && evening.told.some((t) => t.entry.eventId === stove.last?.eventId && !t.undone)
      ? stove.last
      : null,
  );

  $effect(() =>
    alarms.watch(
      evening,
      stove.clock.now,
      dueWords,
      others.pots.flatMap((p) => p.state ?? []),
    ),
  );
  onMount(() => {
    const seen = () => document.visibilityState === 'visible' && alarms.awake && void alarms.keepAwake();
    document.addEventListener('visibilitychange', seen);
    return () => {
      document.removeEventListener('visibilitychange', seen);
      void alarms.rest();
    };
  });

  function open(which: Trouble) {
    trouble = which;
    panel = 'trouble';
  }
  async function finish() {
    const answer = await api.finishStove(stove.id, {
      eventId: uuid(),
      occurredAt: new Date(stove.clock.read()).toISOString(),
      basedOn: evening.version,
    });
    failed = answer.ok ? '' : answer.problem.detail;
    if (answer.ok) onfinished();
  }
</script>

<div class="no-print flex flex-wrap items-center justify-between gap-x-6 gap-y-1">
  <p class="text-lg">
    <strong>{evening.title}</strong>
    {#if evening.table && !evening.setAsideFrom}
      · <Marked
        class="text-secondary"
        text={say('stove.table', {
          time: clock(evening.table.at, evening.zone),
          range: range(evening.table.early, evening.table.late, evening.zone),
        })}
      />
    {/if}
    ·
    <span class="tabular-nums"
      >{say('stove.now', { time: clock(new Date(stove.clock.now).toISOString(), evening.zone) })}</span
    >
  </p>
  {#if !evening.setAsideFrom}<AlarmBar {alarms} />{/if}
  <p class="text-base" role="status" data-live={stove.live}>
    {#if !stove.live && !stove.unpaired}
      <span class="badge badge-warning badge-lg">{say('stove.no_connection', { minutes: stove.age })}</span>
    {/if}
    {#if stove.unsent > 0}<span class="badge badge-lg">{say('stove.to_send', { count: stove.unsent })}</span
      >{/if}
  </p>
</div>

{#if stove.unpaired}
  <section class="dish border-secondary! mt-3 p-4" role="alert" data-unpaired>
    <p class="text-2xl font-semibold">{say('stove.unpaired.title')}</p>
    <p class="mt-1 text-lg">
      {say('stove.unpaired.text', { count: stove.unsent })}
    </p>
    <div class="mt-3"><PairForm onpaired={() => stove.pairedAnew()} /></div>
  </section>
{/if}
<!-- What is next is said when it changes; its countdown is not. -->
<p class="sr-only" role="status">
  {moment && !evening.setAsideFrom && !evening.after ? nowSentence(moment, evening, true) : ''}
</p>
<OtherPotsStrip {others} />
<div class="mt-2 grid gap-4 lg:grid-cols-[minmax(0,1.9fr)_minmax(0,1fr)]">
  <div class="min-w-0">
    {#each evening.gates as gate (gate.code)}
      <section
        class="alert alert-error alert-vertical mb-3 justify-items-start text-left text-lg"
        role="alert"
        data-gate={gate.code}
      >
        <strong class="block text-xl">{say(`caution.${gate.code}.title`)}</strong>
        {say(`caution.${gate.code}.text`)}
      </section>
    {/each}
    {#if evening.setAsideFrom}<SetAsideCard {stove} {evening} onfinish={finish} />{/if}
    <RingCard {alarms} {stove} {evening} />
    {#if evening.after}
      <AfterPanel {stove} {evening} after={evening.after} onfinish={finish} />
      {#if failed}<p class="text-error mt-2" role="alert">{failed}</p>{/if}
    {:else if moment && !evening.setAsideFrom}
      {#key moment.id}<NowCard {stove} state={evening} {moment} />{/key}
    {/if}
    <div class="no-print">
      {#each stove.refused as refused (refused.entry.eventId)}
        <p class="alert alert-error mt-3 text-lg" role="alert">
          <span>{say('stove.refused', { text: refused.text })}</span>
          <button class="btn stove-btn" onclick={() => stove.forget(refused)}
            >{say('stove.refused.ok')}</button
          >
        </p>
      {/each}
      {#if evening.changes.length > 0}
        <ul class="bg-base-300 mt-3 rounded-xl px-4 py-3 text-xl" aria-live="polite" data-changes>
          {#each evening.changes as change (change.code)}<li class:text-secondary={change.worse}>
              {changeLine(change, evening.zone)}
            </li>{/each}
        </ul>
      {/if}
      <ConflictCard {stove} {evening} />
      {#each dueVisits as visit (visit.code + visit.vesselId)}<VisitCard
          {stove}
          {visit}
          {evening}
          ontrouble={open}
        />{/each}
      {#if !evening.table && !evening.after && !evening.setAsideFrom}
        <section class="dish border-secondary! mt-4 p-4" role="alert">
          <p class="text-2xl font-semibold">{say('stove.never.title')}</p>
          <p class="text-lg">{say('stove.never.text')}</p>
          <div class="mt-3 flex flex-wrap gap-3">
            <button class="btn stove-btn" onclick={() => open('hard_dry')}>{say('stove.never.dry')}</button>
            <button class="btn stove-btn" onclick={() => ((trouble = null), (panel = 'trouble'))}
              >{say('stove.never.else')}</button
            >
          </div>
        </section>
      {/if}
      {#if evening.lateMinutes > 5 && !evening.setAsideFrom}<LateBar {stove} {evening} />{/if}

      <div class="mt-4 flex flex-wrap gap-3" class:hidden={evening.setAsideFrom}>
        <button
          class="btn stove-btn"
          aria-expanded={panel === 'add'}
          onclick={() => (panel = panel === 'add' ? null : 'add')}
        >
          <Plus size={22} />
          {say('stove.add')}
        </button>
        <button
          class="btn stove-btn"
          aria-expanded={panel === 'trouble'}
          onclick={() => ((trouble = null), (panel = panel === 'trouble' ? null : 'trouble'))}
        >
          <LifeBuoy size={22} />
          {say('stove.trouble')}
        </button>
        {#if joinLater && evening.pot}
          <button class="btn stove-btn" aria-expanded={already} onclick={() => (already = !already)}>
            {say('stove.already_in', { order: evening.order })}
          </button>
        {/if}
        {#if last}
          <button class="btn stove-btn" onclick={() => last && stove.undo(last.eventId)}
            ><Undo2 size={22} /> {say('stove.undo')}</button
          >
        {/if}
      </div>
      {#if already && joinLater}
        <EarlierPicker
          now
          onpick={(minutesAgo) => {
            stove.tell({ kind: 'did', momentId: joinLater.id, millilitres: 0, minutesAgo });
            already = false;
          }}
        />
      {/if}
      {#if panel === 'add'}<AddPanel
          {stove}
          {evening}
          onclose={() => (panel = null)}
          onmove={() => open('wrong_pot')}
        />{/if}
      {#if panel === 'trouble'}
        {#key trouble}<TroublePanel {stove} {evening} first={trouble} onclose={() => (panel = null)} />{/key}
      {/if}
    </div>
  </div>

  <div class="no-print flex min-w-0 flex-col gap-4">
    {#if !evening.setAsideFrom}
      <PotGlance {evening} />
      <RoadList {evening} now={stove.clock.now} />
    {/if}
    <InsideList {stove} {evening} />
    <ToldList {stove} {evening} />
    {#if evening.learned.length > 0}
      <section class="dish p-4 text-base" aria-label={say('stove.learned')}>
        {#each evening.learned as l (l.what + l.name)}
          <p>
            {say(`learned.${l.what === 'bag' || l.what === 'steam' ? l.what : 'heat'}`, {
              name: l.what === 'bag' ? within(l.name) : l.name,
              ...learnedFacts(l),
            })}
          </p>
        {/each}
      </section>
    {/if}
  </div>
</div>
