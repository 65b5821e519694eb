<script lang="ts">
  import type { HTMLInputAttributes } from 'svelte/elements';

  type Props = Omit<HTMLInputAttributes, 'type' | 'value' | 'class'> & {
    /** What is asked, with its unit; left out where a label around the field names it. */
    label?: string;
    value: number | null | undefined;
    /** A class of width. @default w-28 */
    width?: string;
  };
  let { label, value = $bindable(), width = 'w-28', ...rest }: Props = $props();
</script>

<!-- A figure typed with a wet hand. -->
<input class="input h-14 {width} text-xl" type="number" aria-label={label} {...rest} bind:value />
