<script lang="ts">
  import type { Series } from '../../api/client';
  import { millilitres, overBed } from '../../format/amounts';
  import { range } from '../../format/time';
  import { feltWord } from '../../format/words';
  import { say } from '../../messages/say';
  import type { Flag } from './flags';
  import { bedTop, nearest } from './scale';

  type Props = { series: Series; marks: Flag[]; zone: string; id: string };
  let { series, marks, zone, id }: Props = $props();
  let told = $state(false);
  const seeds = $derived(series.layers.filter((l) => l.kind !== 'extra'));
</script>

<!-- The same as the picture, for who reads or hears it. -->
<details class="mt-2" bind:open={told}>
  <summary class="cursor-pointer text-sm font-semibold">{say('waterline.words')}</summary>
  <!-- svelte-ignore a11y_no_noninteractive_tabindex -->
  <div {id} class="overflow-x-auto" role="region" aria-label={say('waterline.words')} tabindex="0">
    <table class="table-sm mt-1 table">
      <thead>
        <tr>
          <th>{say('waterline.col_when')}</th>
          <th>{say('waterline.col_what')}</th>
          <th>{say('waterline.col_liquid')}</th>
          <th>{say('waterline.col_over_bed')}</th>
          <th>{say('waterline.col_felt')}</th>
        </tr>
      </thead>
      <tbody>
        {#each marks as mark, n (mark.kind + n)}
          {@const i = nearest(series, mark.at)}
          <tr>
            <td>{range(mark.early, mark.late, zone)}</td>
            <td>{mark.text}</td>
            <td>{millilitres(series.liquorMillilitres[i]?.mid ?? 0)}</td>
            <td
              >{bedTop(series, i) > 0
                ? overBed(series.overBedCentimetres[i] ?? 0)
                : say('waterline.no_bed')}</td
            >
            <td>
              {seeds
                .map((l) => say('waterline.layer', { name: l.name, felt: feltWord(l.kind, l.felt[i]) }))
                .join('; ')}
            </td>
          </tr>
        {/each}
      </tbody>
    </table>
  </div>
</details>
