<script lang="ts">
  import type { Series } from '../../api/client';
  import { core, feltWord } from '../../format/words';
  import BeanMark from '../../ui/BeanMark.svelte';
  import { seedOf } from '../../ui/seeds';
  import { layerMarks, lineHeight } from './labels';
  import type { Picture } from './scale';

  type Props = { series: Series; pic: Picture; left: number; right: number };
  let { series, pic, left, right }: Props = $props();
  const marks = $derived(
    layerMarks(series, pic, { left, right }, (k, state) => feltWord(series.layers[k]!.kind, state)),
  );
</script>

<!-- What each layer is, and how it feels on the way. -->
{#each marks as mark (`${mark.layer} ${mark.x}`)}
  {@const layer = series.layers[mark.layer]!}
  {#if mark.seed}
    <g transform="translate({mark.x - mark.seed / 2} {mark.y - mark.height})">
      <BeanMark core={core[mark.state] ?? 0} size={mark.seed} seed={seedOf(layer.kind, layer.seed)} />
    </g>
  {/if}
  {#each mark.lines as line, n (n)}
    <text
      x={mark.x}
      y={mark.y - (mark.lines.length - 1 - n) * lineHeight - 3}
      text-anchor="middle"
      class="fill-base-content text-[12px] {line.name ? 'font-bold' : ''}"
      stroke="var(--color-base-100)"
      stroke-width="3.5"
      stroke-linejoin="round"
      paint-order="stroke"
      data-layer={line.name ? layer.id : undefined}>{line.text}</text
    >
  {/each}
{/each}
