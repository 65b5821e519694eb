<script lang="ts">
  import type { Plan } from '../../api/client';
  import { clock, dayName, dayOf, minutesBetween, range } from '../../format/time';
  import { capital, stepLine } from '../../format/words';
  import { say } from '../../messages/say';

  import { reasonOfStep } from '../why/links';
  import WhyLink from '../why/WhyLink.svelte';

  type Props = { plan: Plan; zone: string; today: string };
  let { plan, zone, today }: Props = $props();

  const steps = $derived(
    plan.steps.map((step, i) => {
      const day = dayOf(step.at, zone);
      const before = plan.steps[i - 1];
      return {
        step,
        line: stepLine(step, plan),
        // A day is named where it changes.
        day: !before || dayOf(before.at, zone) !== day ? day : null,
        spread: minutesBetween(step.early, step.late) > 1 ? range(step.early, step.late, zone) : null,
      };
    }),
  );
</script>

<section class="dish p-4" aria-labelledby="steps-title">
  <h2 id="steps-title" class="text-xl">{say('steps.title')}</h2>
  <ol class="mt-2">
    {#each steps as { step, line, day, spread }, i (i)}
      {#if day}
        <li class="text-sm font-semibold opacity-85" class:mt-3={step !== plan.steps[0]}>
          {capital(dayName(day, today))}
        </li>
      {/if}
      <li
        class="border-base-300 grid grid-cols-[var(--hour-large)_1fr] gap-3 border-t py-2 first:border-t-0 {step.kind ===
          'join' || step.kind === 'table'
          ? 'text-secondary'
          : ''}"
      >
        <time class="display text-xl leading-7 whitespace-nowrap tabular-nums" datetime={step.at}
          >{clock(step.at, zone)}</time
        >
        <div>
          <p class="leading-7 font-semibold">
            {line.title}
            <WhyLink reason={reasonOfStep(step.kind)} />
          </p>
          <p class="text-base-content/90 text-[0.95rem]">
            {spread ? say('steps.spread', { detail: line.detail, spread }) : line.detail}
          </p>
        </div>
      </li>
    {/each}
  </ol>
  <p class="mt-1 text-sm opacity-85">{say('steps.note')}</p>
</section>
