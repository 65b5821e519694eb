<script lang="ts">
  import type { StoveState } from '../../api/client';
  import type { AtStove } from '../../state/stove/stove.svelte';
  import { say } from '../../messages/say';

  type Props = { stove: AtStove; evening: StoveState };
  let { stove, evening }: Props = $props();
</script>

<!-- What went in with pieces, and how many are out again. -->
{#if evening.inside.length > 0}
  <section class="dish p-4" aria-labelledby="inside">
    <h2 id="inside" class="text-xl">{say('inside.title')}</h2>
    <ul class="mt-2 flex flex-col gap-2">
      {#each evening.inside as item (item.ingredient)}
        {@const left = item.pieces - item.out}
        <li class="flex flex-wrap items-center justify-between gap-2 text-xl">
          <span class:line-through={left === 0}
            >{say('inside.left', { name: item.name, left, pieces: item.pieces })}</span
          >
          {#if left > 0}
            <span class="flex gap-2">
              <button
                class="btn stove-btn"
                onclick={() => stove.tell({ kind: 'came_out', ingredient: item.ingredient, count: 1 })}
              >
                {say('inside.one')}
              </button>
              {#if left > 1}
                <button
                  class="btn stove-btn"
                  onclick={() => stove.tell({ kind: 'came_out', ingredient: item.ingredient, count: left })}
                >
                  {say('inside.all', { count: left })}
                </button>
              {/if}
            </span>
          {:else}
            <span class="text-success font-semibold">{say('inside.none')}</span>
          {/if}
        </li>
      {/each}
    </ul>
  </section>
{/if}
