<script lang="ts">
  import { span, type LogRow } from '../../format/log';
  import { clock } from '../../format/time';
  import { say } from '../../messages/say';

  type Props = { rows: LogRow[]; zone: string };
  let { rows, zone }: Props = $props();

  const view = $derived(span(rows));
  const share = (iso: string) =>
    Math.min(1, Math.max(0, (Date.parse(iso) - view.from) / Math.max(1, view.to - view.from)));
  const at = (iso: string) => `${(share(iso) * 100).toFixed(2)}%`;
  const isBefore = (iso: string) => Date.parse(iso) < view.from;
  /** Full hours within it. */
  const hours = $derived(
    Array.from({ length: 9 }, (_, i) => Math.ceil(view.from / 3_600_000) * 3_600_000 + i * 3_600_000)
      .filter((t) => t < view.to)
      .map((t) => new Date(t).toISOString()),
  );
</script>

<!-- A row for each thing that was to be done: its band and middle as planned, a dot where it was done. -->
<div class="against" role="table" aria-label={say('log.picture')}>
  <div class="contents text-sm" role="row">
    <span role="columnheader">{say('log.col.what')}</span>
    <span class="relative hidden h-5 sm:block" aria-hidden="true">
      {#each hours as hour (hour)}<span class="absolute -translate-x-1/2 tabular-nums" style:left={at(hour)}
          >{clock(hour, zone)}</span
        >{/each}
    </span>
    <span class="pl-3 text-right" role="columnheader">{say('log.col.planned')}</span>
    <span class="pl-3 text-right" role="columnheader">{say('log.col.done')}</span>
  </div>
  {#each rows as row, i (i)}
    <div class="contents" role="row">
      <span class="border-base-300 border-t py-1 leading-tight font-semibold" role="cell">{row.what}</span>
      <span class="border-base-300 relative hidden border-t sm:block" aria-hidden="true">
        {#if !isBefore(row.planned)}
          <span
            class="bg-info/30 absolute top-1/2 h-3.5 -translate-y-1/2 rounded-full"
            style:left={at(row.early)}
            style:width="max(4px, calc({at(row.late)} - {at(row.early)}))"
          ></span>
          <span class="bg-info absolute top-1/2 h-5 w-0.5 -translate-y-1/2" style:left={at(row.planned)}
          ></span>
        {/if}
        {#if row.done && !isBefore(row.done)}
          <span
            class="bg-secondary border-base-100 absolute top-1/2 size-3.5 -translate-x-1/2 -translate-y-1/2 rounded-full border-2"
            style:left={at(row.done)}
          ></span>
        {/if}
      </span>
      <span class="border-base-300 border-t py-1 pl-3 text-right tabular-nums" role="cell"
        >{row.looks ? say('log.from', { time: clock(row.planned, zone) }) : clock(row.planned, zone)}</span
      >
      <span class="border-base-300 border-t py-1 pl-3 text-right font-semibold tabular-nums" role="cell"
        >{row.done ? clock(row.done, zone) : '–'}</span
      >
    </div>
  {/each}
</div>
<p class="mt-2 hidden text-sm opacity-85 sm:block">{say('log.picture.key')}</p>

<style>
  .against {
    display: grid;
    grid-template-columns: minmax(0, 1fr) auto auto;
    column-gap: 0;
  }
  @media (min-width: 40rem) {
    .against {
      grid-template-columns: minmax(0, 15rem) minmax(0, 1fr) auto auto;
    }
  }
</style>
