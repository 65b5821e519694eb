<script lang="ts">
  import type { StoveAnswer, StoveState } from '../../api/client';
  import { dinnersOf } from '../../format/chance';
  import { grams } from '../../format/amounts';
  import { range } from '../../format/time';
  import { feltWord } from '../../format/words';
  import { within } from '../../messages/figures';
  import { say } from '../../messages/say';

  type Props = { answers: StoveAnswer[]; evening: StoveState; onchoose: (answer: StoveAnswer) => void };
  let { answers, evening, onchoose }: Props = $props();

  /** Their minutes are those under pressure once the lid is locked again. */
  const held = ['look_and_lock', 'off_and_alone', 'lock_again'];
  const figures = (a: StoveAnswer) =>
    [
      a.vesselName ? say('answer.into', { vessel: within(a.vesselName) }) : null,
      a.millilitres
        ? say('answer.water', {
            millilitres: a.millilitres,
            heat: a.celsius ? (a.celsius >= 90 ? 'boiling' : 'cold') : null,
          })
        : null,
      a.grams ? grams(a.grams) : null,
      a.minutes
        ? say('answer.minutes', { minutes: a.minutes, held: held.includes(a.code) ? 'yes' : 'no' })
        : null,
    ].filter(Boolean);
  /** Nothing is said where there was no table before. */
  const soft = (a: StoveAnswer) =>
    a.softLaterMinutes
      ? say('answer.soft', {
          minutes: Math.abs(a.softLaterMinutes),
          when: a.softLaterMinutes > 0 ? 'later' : 'earlier',
        })
      : '';
  const table = (a: StoveAnswer) =>
    a.table
      ? say('answer.table', {
          range: range(a.table.early, a.table.late, evening.zone),
          minutes: Math.abs(a.laterMinutes ?? 0),
          when:
            a.laterMinutes == null
              ? null
              : a.laterMinutes === 0
                ? 'same'
                : a.laterMinutes > 0
                  ? 'later'
                  : 'earlier',
        })
      : '';
  const states = (a: StoveAnswer) =>
    a.pulseState
      ? say('answer.states', {
          pulses: feltWord('pulse', a.pulseState),
          rice: a.riceState ? feltWord('rice', a.riceState) : null,
        })
      : '';
  const share = (a: StoveAnswer) =>
    a.shareTender == null ? '' : say('answer.share', { dinners: dinnersOf(a.shareTender) });
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
        {[soft(answer), table(answer), states(answer), share(answer)].filter(Boolean).join(' ')}
      </p>
      <button class="btn btn-primary stove-btn mt-3" onclick={() => onchoose(answer)}
        >{say('answer.do')}</button
      >
    </li>
  {/each}
</ul>
