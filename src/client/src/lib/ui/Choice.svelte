<script lang="ts" generics="T extends string">
  type Props = {
    legend: string;
    name: string;
    options: { id: T; name: string; hint?: string }[];
    value: string;
    onchange: (id: T) => void;
    error?: string | null;
  };
  let { legend, name, options, value, onchange, error = null }: Props = $props();
  const hint = $derived(options.find((o) => o.id === value)?.hint);
</script>

<fieldset>
  <legend class="mb-1 text-sm font-semibold">{legend}</legend>
  <div class="border-primary flex flex-wrap overflow-hidden rounded-[0.6rem] border-[1.5px]">
    {#each options as option (option.id)}
      <label
        class="has-checked:bg-primary has-checked:text-primary-content choice flex-1 cursor-pointer px-1.5 py-2 text-center text-[0.95rem] leading-tight"
      >
        <input
          class="sr-only"
          type="radio"
          {name}
          value={option.id}
          checked={option.id === value}
          aria-describedby={option.id === value && hint ? `${name}-hint` : undefined}
          onchange={() => onchange(option.id)}
        />
        {option.name}
      </label>
    {/each}
  </div>
  {#if hint}<p id="{name}-hint" class="mt-1 text-sm opacity-85">{hint}</p>{/if}
  {#if error}<p class="text-error mt-1 text-sm" role="alert">{error}</p>{/if}
</fieldset>

<style>
  .choice:has(:focus-visible) {
    outline: 3px solid var(--color-info);
    outline-offset: -3px;
  }
</style>
