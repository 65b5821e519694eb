<script lang="ts">
  import { clock } from '../../format/time';
  import { reach, type PullKind } from '../../state/pull.svelte';
  import { say } from '../../messages/say';
  import type { Dragging } from './drag.svelte';
  import { shifted, type Flag } from './flags';

  type Props = {
    flag: Flag;
    zone: string;
    /** Middle of the flag, and of its moment, px; they part at the edges of the picture. */
    x: number;
    at: number;
    top: number;
    width: number;
    ground: number;
    /** Whether there is room for the time beside the name. */
    timed: boolean;
    /** Minutes that it is pulled. */
    by: number;
    dragging: Dragging;
  };
  let { flag, zone, x, at, top, width, ground, timed, by, dragging }: Props = $props();
  const time = $derived(clock(flag.at, zone));
</script>

{#snippet drawn()}
  <line
    x1={at}
    x2={at}
    y1={top + 19}
    y2={ground - 3}
    stroke={flag.strong ? 'var(--color-secondary)' : 'var(--pot-wall)'}
    stroke-width={flag.strong ? 2 : 1.2}
    stroke-dasharray="2 4"
  />
  <rect
    x={x - width / 2}
    y={top}
    {width}
    height="20"
    rx="6"
    class="flag"
    fill={flag.strong ? 'var(--color-secondary)' : 'var(--color-base-100)'}
    stroke={flag.strong ? 'var(--color-secondary)' : 'var(--pot-wall)'}
    stroke-width={by ? 2.4 : 1.2}
  />
  {#if flag.pull}
    <!-- Two notches: this one can be pulled. -->
    <path
      d="M{x - width / 2 + 6} {top + 6}v8m3 -8v8"
      stroke={flag.strong ? 'var(--color-secondary-content)' : 'var(--pot-wall)'}
      stroke-width="1.2"
    />
  {/if}
  <text
    x={x + (flag.pull ? 4 : 0)}
    y={top + 14.5}
    text-anchor="middle"
    class="text-[12px] font-semibold {flag.strong ? 'fill-secondary-content' : 'fill-base-content'}"
  >
    {flag.text}{timed ? ` ${time}` : ''}
  </text>
{/snippet}

{#snippet handle(kind: PullKind)}
  <g
    role="slider"
    tabindex="0"
    class="handle"
    aria-label={flag.text}
    aria-orientation="horizontal"
    aria-valuemin={reach[kind][0]}
    aria-valuemax={reach[kind][1]}
    aria-valuenow={by}
    aria-valuetext={by
      ? say('waterline.pulled', { time, shifted: shifted(by) })
      : say('waterline.at_best', { time })}
    data-pull={kind}
    onpointerdown={(e) => dragging.take(e, kind)}
    onpointermove={(e) => dragging.move(e)}
    onpointerup={() => dragging.drop()}
    onpointercancel={() => dragging.drop()}
    onkeydown={(e) => dragging.press(e, kind)}
  >
    <rect x={x - width / 2 - 3} y={top - 3} width={width + 6} height="26" fill="transparent" />
    <rect x={at - 9} y={top} width="18" height={ground - top} fill="transparent" />
    {@render drawn()}
  </g>
{/snippet}

{#if flag.pull}{@render handle(flag.pull)}{:else}{@render drawn()}{/if}

<style>
  .handle:focus {
    outline: none;
  }
  .handle:focus-visible .flag {
    stroke: var(--color-info);
    stroke-width: 4;
  }
  .handle {
    cursor: ew-resize;
    touch-action: none;
  }
</style>
