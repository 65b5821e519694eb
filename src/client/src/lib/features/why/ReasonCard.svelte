<script lang="ts">
  import { say } from '../../messages/say';
  import type { Told } from './search';

  type Props = { reason: Told; open?: boolean };
  let { reason, open = false }: Props = $props();
</script>

<details class="reason border-base-300 border-t px-4 first:border-t-0" id={reason.id} {open}>
  <summary class="cursor-pointer py-3 text-lg font-semibold">{reason.title}</summary>
  <p class="max-w-prose">{reason.text}</p>
  {#if reason.others}
    <p class="border-accent mt-2 max-w-prose border-l-4 pl-3">
      <strong class="block text-sm">{say('why.others')}</strong>{reason.others}
    </p>
  {/if}
  <p class="mt-2 pb-3 text-sm">
    <span class="strength" data-strength={reason.strength} aria-hidden="true"></span>
    {say('why.strength', { strength: reason.strength })}
  </p>
  {#if reason.figures.length}
    <ul
      class="border-base-300 mb-3 border-t pt-2 text-sm"
      aria-label={say('why.figures', { count: reason.figures.length })}
    >
      {#each reason.figures as f (f.id)}
        <li class="tabular-nums">
          {f.basis}: {say('why.range', {
            low: String(f.low),
            high: String(f.high),
            typical: String(f.typical),
            unit: f.unit,
          })}
        </li>
      {/each}
    </ul>
  {/if}
</details>

<style>
  /* How well it is supported: so many of four beans filled. */
  .strength {
    display: inline-block;
    width: 3.4rem;
    height: 0.7rem;
    margin-right: 0.4rem;
    border: 1.5px solid var(--color-primary);
    border-radius: 0.4rem;
    background: linear-gradient(to right, var(--color-primary) var(--filled), transparent var(--filled));
  }
  .strength[data-strength='A'] {
    --filled: 100%;
  }
  .strength[data-strength='B'] {
    --filled: 75%;
  }
  .strength[data-strength='C'] {
    --filled: 50%;
  }
  .strength[data-strength='D'] {
    --filled: 25%;
  }
</style>
