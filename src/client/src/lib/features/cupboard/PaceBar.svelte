<script lang="ts">
  import { factor, type Pace } from '../../format/pace';
  import { say } from '../../messages/say';

  type Props = {
    pace: Pace;
    /** What single dinners showed, as factors on the time. */
    dinners?: { time: number; timeLow: number; timeHigh: number; leftOut: boolean }[];
  };
  let { pace, dinners = [] }: Props = $props();

  const width = 300;
  const top = 12;
  /** Half the usual time to twice as long, each step as wide as it is felt. */
  const x = (time: number) => (Math.log2(Math.min(2, Math.max(0.5, time))) + 1) * (width / 2 - 10) + 10;
  const rowHeight = 14;
  const marks: [number, string][] = [
    [0.5, 'half'],
    [0.75, 'three_quarters'],
    [1, 'usual'],
    [1.5, 'half_more'],
    [2, 'twice'],
  ];
  const height = $derived(top + 26 + dinners.length * rowHeight + 16);
</script>

<!-- What was known of any bag is the pale band; what is known of this one the dark band in it; a row for each dinner. -->
<svg
  viewBox="0 0 {width} {height}"
  class="w-full max-w-[30rem]"
  role="img"
  aria-label={say('pace.range', { low: factor(pace.timeLow), high: factor(pace.timeHigh) })}
>
  <rect
    x={x(pace.unknownLow)}
    y={top}
    width={x(pace.unknownHigh) - x(pace.unknownLow)}
    height="18"
    rx="9"
    fill="var(--color-base-300)"
  />
  <rect
    x={x(pace.timeLow)}
    y={top}
    width={Math.max(6, x(pace.timeHigh) - x(pace.timeLow))}
    height="18"
    rx="9"
    fill="var(--color-secondary)"
    opacity={pace.dinners || pace.otherBags ? 0.85 : 0.25}
  />
  <circle
    cx={x(pace.time)}
    cy={top + 9}
    r="5"
    fill="var(--color-base-100)"
    stroke="var(--color-base-content)"
    stroke-width="1.5"
  />
  <line
    x1={x(1)}
    x2={x(1)}
    y1={top - 5}
    y2={height - 14}
    stroke="var(--color-base-content)"
    stroke-dasharray="2 3"
  />
  {#each dinners as d, i (i)}
    {@const y = top + 30 + i * rowHeight}
    <g opacity={d.leftOut ? 0.35 : 1}>
      <line x1={x(d.timeLow)} x2={x(d.timeHigh)} y1={y} y2={y} stroke="var(--color-info)" stroke-width="3" />
      <circle cx={x(d.time)} cy={y} r="4" fill="var(--color-info)" />
    </g>
  {/each}
  {#each marks as [mark, at] (at)}
    <text
      x={x(mark)}
      y={height - 2}
      text-anchor={mark === 0.5 ? 'start' : mark === 2 ? 'end' : 'middle'}
      font-size="11"
      fill="var(--color-base-content)">{say('pace.mark', { at })}</text
    >
  {/each}
</svg>
