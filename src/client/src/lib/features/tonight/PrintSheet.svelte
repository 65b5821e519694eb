<script lang="ts">
  import { within } from '../../messages/figures';
  import { say } from '../../messages/say';
  import type { Dish, Kitchen, Plan } from '../../api/client';
  import { cups } from '../../format/amounts';
  import { dinnersOf } from '../../format/chance';
  import { clock, dayName, dayOf, minutesBetween, range } from '../../format/time';
  import { capital, joinSentence, measureLines, stepLine } from '../../format/words';
  import Marked from '../../ui/Marked.svelte';

  type Props = { plan: Plan; dish: Dish; kitchen: Kitchen };
  let { plan, dish, kitchen }: Props = $props();

  const zone = $derived(kitchen.zone);
  const today = $derived(kitchen.nowLocal.slice(0, 10));
  const table = $derived(plan.steps.find((s) => s.kind === 'table'));
  const out = $derived(plan.measureOut);
  const vessel = $derived(
    [...kitchen.vessels, ...kitchen.removedVessels].find((v) => v.id === dish.vesselId),
  );
  const comesOut = $derived(out.extras.filter((x) => x.pieces > 0));
</script>

<!-- One page of A4 or Letter: it hangs beside the stove. -->
<div class="sheet" aria-hidden="true">
  <p class="title">
    {say('verdict.title', {
      title: plan.title,
      day: dayName(dayOf(plan.serveAt, zone), today),
      time: clock(plan.serveAt, zone),
    })}
  </p>
  <p>
    {say('print.for', { people: dish.people, pot: vessel?.name })}
    {plan.join ? say('print.join', { join: joinSentence(plan.join) }) : ''}
    {say('print.table', {
      range: table ? range(table.early, table.late, zone) : '',
      dinners: dinnersOf(plan.withLooks),
    })}
  </p>
  <div class="columns">
    <div>
      <p class="head">{say('steps.title')}</p>
      <table>
        <tbody>
          {#each plan.steps as step, i (i)}
            {@const line = stepLine(step, plan)}
            {@const before = plan.steps[i - 1]}
            {#if !before || dayOf(before.at, zone) !== dayOf(step.at, zone)}
              <tr><th colspan="2">{capital(dayName(dayOf(step.at, zone), today))}</th></tr>
            {/if}
            <tr>
              <td class="time">{clock(step.at, zone)}</td>
              <td>
                <strong>{line.title}</strong>
                <span
                  >{line.detail}{minutesBetween(step.early, step.late) > 1
                    ? ` (${range(step.early, step.late, zone)})`
                    : ''}</span
                >
              </td>
            </tr>
          {/each}
        </tbody>
      </table>
    </div>
    <div>
      <p class="head">{say('measure.title')}</p>
      <table>
        <tbody>
          {#each measureLines(out, plan) as line, i (i)}
            <tr>
              <td>{line.what} <span>{line.note}</span></td>
              <td class="amount">{line.amount}{i === 0 ? ` · ${cups(out.pulseCups)}` : ''}</td>
            </tr>
          {/each}
        </tbody>
      </table>
      {#if comesOut.length}
        <p>
          <Marked
            text={say('print.come_out', {
              what: comesOut
                .map((x) => `${within(x.name)} ${'☐ '.repeat(Math.min(x.pieces, 12)).trim()}`)
                .join('; '),
            })}
          />
        </p>
      {/if}
      {#if plan.hands.dayBefore.length}
        <p>
          <Marked text={say('hands.day_before', { what: plan.hands.dayBefore.map(within).join('; ') })} />
        </p>
      {/if}
      {#if plan.hands.tasks.length}
        <p>
          <Marked
            text={say('print.beside', {
              what: plan.hands.tasks.map((t) => `${clock(t.from, zone)} ${within(t.name)}`).join('; '),
            })}
          />
        </p>
      {/if}
      <p class="head">{say('print.mind')}</p>
      <ul>
        {#each plan.forecast.cautions as c (c.code)}<li>
            <strong>{say(`caution.${c.code}.title`)}.</strong>
            {say(`caution.${c.code}.text`)}
          </li>{/each}
      </ul>
    </div>
  </div>
</div>

<style>
  .sheet {
    display: none;
  }
  @media print {
    .sheet {
      display: block;
      color: black;
      font-size: 10pt;
      line-height: 1.25;
    }
    .title {
      font-family: var(--font-display);
      font-size: 16pt;
    }
    .head {
      font-family: var(--font-display);
      font-size: 11pt;
      margin-top: 2mm;
    }
    .columns {
      display: grid;
      grid-template-columns: 1.35fr 1fr;
      gap: 7mm;
    }
    table {
      width: 100%;
      border-collapse: collapse;
    }
    td,
    th {
      border-top: 0.4pt solid #999;
      padding: 0.7mm 0;
      text-align: left;
      vertical-align: top;
    }
    td span {
      display: block;
      font-size: 9pt;
    }
    .time {
      width: 12mm;
      font-weight: 700;
    }
    .amount {
      padding-left: 3mm;
      text-align: right;
      font-weight: 700;
      white-space: nowrap;
    }
    li {
      font-size: 8.4pt;
    }
  }
</style>
