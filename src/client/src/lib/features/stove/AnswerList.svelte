<script lang="ts">
  import type { StoveAnswer, StoveState } from '../../api/client';
  import { dinnersOf } from '../../format/chance';
  import { grams, millilitres } from '../../format/amounts';
  import { range } from '../../format/time';
  import { feltWord } from '../../format/words';
  import { within } from '../../messages/figures';
  import { say } from '../../messages/say';

  type Props = { answers: StoveAnswer[]; evening: StoveState; onchoose: (answer: StoveAnswer) => void };
  let { answers, evening, onchoose }: Props = $props();

  /** Their minutes are those under pressure once the lid is locked again. */
  const held = ['look_and_lock', 'off_and_alone'];
  const figures = (a: StoveAnswer) =>
    [
      a.vesselName ? say('answer.into', { vessel: within(a.vesselName) }) : null,
      a.millilitres
        ? `${millilitres(a.millilitres)}${a.celsius ? (a.celsius >= 90 ? ' boiling water' : ' cold water') : ''}`
        : null,
      a.grams ? grams(a.grams) : null,
      a.minutes ? `${Math.round(a.minutes)} min${held.includes(a.code) ? ' held after it' : ''}` : null,
    ].filter(Boolean);
  /** Nothing is said where there was no table before. */
  const soft = (a: StoveAnswer) =>
    a.softLaterMinutes
      ? `Soft about ${Math.abs(a.softLaterMinutes)} min ${a.softLaterMinutes > 0 ? 'later' : 'earlier'}. `
      : '';
  const cost = (a: StoveAnswer) => {
    const later = a.laterMinutes;
    if (later === null || later === undefined) return '';
    return later === 0 ? ', the table stays' : `, ${Math.abs(later)} min ${later > 0 ? 'later' : 'earlier'}`;
  };
</script>

<ul class="mt-3 flex flex-col gap-3">
  {#each answers as answer (answer.code)}
    <li class="border-base-300 rounded-xl border-2 p-4">
      <p class="text-2xl font-semibold">{say(`answer.${answer.code}.title`)}</p>
      {#if figures(answer).length > 0}
        <p class="text-secondary display text-3xl">{figures(answer).join(' · ')}</p>
      {/if}
      <p class="text-lg">
        {say(`answer.${answer.code}.text`)}{answer.caution ? ` ${say(`caution.${answer.caution}.text`)}` : ''}
      </p>
      <p class="mt-1 text-lg">
        {soft(answer)}{#if answer.table}Table {range(
            answer.table.early,
            answer.table.late,
            evening.zone,
          )}{cost(answer)}.{/if}
        {#if answer.pulseState}Pulses {feltWord('pulse', answer.pulseState)}{answer.riceState
            ? `, rice ${feltWord('rice', answer.riceState)}`
            : ''}.{/if}
        {#if answer.shareTender !== null && answer.shareTender !== undefined}As wanted in {dinnersOf(
            answer.shareTender,
          )}.{/if}
      </p>
      <button class="btn btn-primary stove-btn mt-3" onclick={() => onchoose(answer)}>Do this</button>
    </li>
  {/each}
</ul>
