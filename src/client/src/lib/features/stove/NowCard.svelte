<script lang="ts">
  import { blockLine } from '../../format/differences';
  import { say } from '../../messages/say';
  import type { StoveMoment, StoveState } from '../../api/client';
  import {
    away,
    besideLines,
    countdown,
    foundLine,
    happened,
    lookFor,
    momentLine,
    namedAsWanted,
    nowSentence,
    sealed,
    sign,
  } from '../../format/stove';
  import { clock } from '../../format/time';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import EarlierPicker from './EarlierPicker.svelte';
  import JoinPanel from './JoinPanel.svelte';
  import LookInside from './LookInside.svelte';
  import LookQuestion from './LookQuestion.svelte';
  import SignPicture from './SignPicture.svelte';
  import Marked from '../../ui/Marked.svelte';

  type Props = { stove: AtStove; state: StoveState; moment: StoveMoment };
  let { stove, state: evening, moment }: Props = $props();

  let early = $state(false);
  let earlier = $state(false);
  /** A look is answered by what the hand feels, where chalk could be counted. */
  let byFeel = $state(false);
  /** A clock that is set for later counts down; at its time it is due. */
  const from = $derived(
    moment.waits.notBefore
      ? Date.parse(moment.waits.notBefore)
      : moment.waits.event || moment.waits.look || !moment.due
        ? 0
        : Date.parse(moment.due.at),
  );
  const left = $derived(from - stove.clock.now);
  const waits = $derived(moment.waits.event ?? null);
  const found = $derived(moment.waits.look?.found ?? null);
  const due = $derived(early || !!found || left <= 0);
  const overdue = $derived(!!waits && !!moment.due && stove.clock.now > Date.parse(moment.due.late));
  const line = $derived(found ? foundLine(moment, evening) : momentLine(moment, evening));
  /** Named as it is wanted, and yet not far enough by all that was told. */
  const nearly = $derived(found === false && namedAsWanted(moment, evening));
  const blocked = $derived(
    moment.blocked && !(moment.blocked.until && stove.clock.now >= Date.parse(moment.blocked.until))
      ? moment.blocked
      : null,
  );
  const serve = $derived(moment.deeds.some((d) => d.do === 'serve'));
  const locks = $derived(moment.deeds.some((d) => d.do === 'lock'));
  const zone = $derived(evening.zone);

  function done(minutesAgo = 0) {
    const vesselId = moment.lane.startsWith('bowl:') ? null : moment.lane;
    const seen = { kind: 'seen', what: waits, vesselId, minutesAgo, secondsAgo: 1 } as const;
    // What has minutes of its own after it is not done by being seen.
    if (waits && moment.waits.delayMinutes) stove.tell(seen);
    else if (waits) stove.tell(seen, { kind: 'did', momentId: moment.id, minutesAgo });
    else stove.tell({ kind: 'did', momentId: moment.id, minutesAgo });
    earlier = early = false;
  }
  const whistled = () => {
    if (moment.waits.seen + 1 >= moment.waits.count) done();
    else stove.tell({ kind: 'seen', what: 'whistle', vesselId: moment.lane });
  };
  const notYet = () => stove.tell({ kind: 'not_yet', what: waits, vesselId: moment.lane });
</script>

<section class="dish p-5 sm:p-7" aria-labelledby="now" data-moment={moment.id}>
  {#if moment.vesselName && evening.vessels.length > 1}
    <p class="pot-name text-lg font-bold" style="--pot: var(--pot-{moment.colour % 4})">
      {moment.vesselName}
    </p>
  {/if}

  {#if !due && !waits}
    <h1 id="now" class="now mt-1">
      {moment.waits.look ? nowSentence(moment, evening, false) : say('now.nothing')}
      <span class="text-secondary">{clock(new Date(from).toISOString(), zone)}</span>
    </h1>
    <p class="display mt-2 text-5xl tabular-nums" role="timer">{countdown(left)}</p>
    {#if nearly}<p class="mt-3 text-xl">
        {say('look.nearly', { kind: moment.waits.look?.kind ?? 'pulse' })}
      </p>{/if}
    {#if moment.waits.look}
      {#if found === false && sealed(moment) && moment.step?.facts.addMillilitres}
        <p class="mt-3 text-xl">{say('look.dry', { amount: moment.step.facts.addMillilitres })}</p>
      {/if}
      <p class="mt-3 text-xl">{lookFor(moment.waits.look)}</p>
    {:else}
      <p class="mt-3 text-xl">{say('now.then', { line: line.title })}</p>
    {/if}
    <div class="mt-4 flex flex-wrap gap-3">
      {#if nearly}
        <button class="btn stove-btn" onclick={() => done()}>{say('look.go_on')}</button>
      {/if}
      <button class="btn stove-btn" onclick={() => (early = true)}
        >{say(moment.waits.look ? 'look.now' : 'now.already')}</button
      >
      <button class="btn stove-btn btn-ghost" onclick={() => (earlier = true)}>{say('now.is_done')}</button>
    </div>
    {#if earlier}<EarlierPicker onpick={done} />{/if}
    {#if stove.id && moment.waits.priced}<LookInside {stove} id={stove.id} {evening} locked />{/if}
  {:else}
    <h1 id="now" class="now mt-1">
      {byFeel && moment.waits.look
        ? say('look.feel', { kind: moment.waits.look.kind })
        : nowSentence(moment, evening, true)}
    </h1>
    {#if waits}
      <p class="mt-2 text-2xl">
        {#if moment.due}
          <Marked
            text={say('now.about', {
              time: clock(moment.due.at, zone),
              away: away(Date.parse(moment.due.at) - stove.clock.now),
            })}
          />
        {/if}
        {sign(waits)}
      </p>
      {#if waits === 'boils' || waits === 'surface_dry'}<SignPicture what={waits} />{/if}
      <p class="mt-1 text-xl">{say('now.then', { line: line.title })}</p>
      <div class="mt-5 flex flex-wrap gap-3">
        {#if waits === 'whistle' && moment.waits.count > 1}
          <button class="btn btn-primary stove-btn grow" onclick={whistled}>{happened('whistle')}</button>
          <button class="btn stove-btn" onclick={() => done()}
            >{say('now.all_heard', { count: moment.waits.count })}</button
          >
        {:else}
          <button class="btn btn-primary stove-btn grow" onclick={() => done()}
            >{happened(waits) || say('told.done')}</button
          >
          {#if overdue}<button class="btn stove-btn" onclick={notYet}>{say('now.not_yet')}</button>{/if}
        {/if}
        <button class="btn stove-btn" onclick={() => (earlier = !earlier)}>{say('now.did_before')}</button>
      </div>
      {#if earlier}<EarlierPicker onpick={done} />{/if}
      {#if stove.id && moment.waits.priced}<LookInside {stove} id={stove.id} {evening} locked />{/if}
    {:else if moment.waits.look && !found}
      <LookQuestion {stove} {moment} look={moment.waits.look} bind:feel={byFeel} ondone={() => done()} />
    {:else if moment.join}
      <JoinPanel {stove} {evening} {moment} {line} />
    {:else}
      {#if found}<p class="mt-2 text-2xl">{line.title}</p>{/if}
      {#if line.detail}<p class="mt-2 text-2xl">{line.detail}</p>{/if}
      {#each besideLines(moment, evening) as more (more)}<p class="mt-1 text-2xl">{more}</p>{/each}
      {#if blocked}
        <div class="alert alert-warning alert-vertical mt-4 justify-items-start text-left text-lg">
          <div role="alert">
            <strong class="block text-xl">{say(`caution.${blocked.code}.title`)}</strong>
            {blockLine(blocked)}
          </div>
          {#if blocked.until}
            <!-- Outside the alert: a countdown inside would be read out each second. -->
            <span class="display block text-3xl tabular-nums" role="timer">
              {countdown(Date.parse(blocked.until) - stove.clock.now)}
            </span>
          {/if}
          {#if blocked.code === 'lectin.not_boiled' && !blocked.until}
            <button
              class="btn stove-btn mt-3"
              onclick={() => stove.tell({ kind: 'seen', what: 'boils', vesselId: moment.lane })}
              >{say('now.boils_again')}</button
            >
          {/if}
          {#if blocked.code === 'cooker.vent_unchecked'}
            <button class="btn stove-btn mt-3" onclick={() => stove.tell({ kind: 'vent_clear' })}
              >{say('now.vent_clear')}</button
            >
          {/if}
        </div>
      {/if}
      <div class="mt-5 flex flex-wrap gap-3">
        <button class="btn btn-primary stove-btn grow" disabled={!!blocked} onclick={() => done()}>
          {serve ? say('now.served') : say('told.done')}
        </button>
        {#if blocked?.code !== 'comes_out.still_in'}
          <button class="btn stove-btn" onclick={() => (earlier = !earlier)}>{say('now.was_before')}</button>
        {/if}
      </div>
      {#if earlier}<EarlierPicker onpick={done} />{/if}
      {#if stove.id && locks && evening.pot}<LookInside {stove} id={stove.id} {evening} locked={false} />{/if}
    {/if}
    {#if moment.waits.look && !found}<p class="mt-3 text-lg">{lookFor(moment.waits.look)}</p>{/if}
  {/if}
</section>
