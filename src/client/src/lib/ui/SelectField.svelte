<script lang="ts" generics="T extends string">
  type Props = {
    label: string;
    id: string;
    options: { id: T; name: string }[];
    value: string;
    onchange: (id: T) => void;
    error?: string | null;
  };
  let { label, id, options, value, onchange, error = null }: Props = $props();
</script>

<div>
  <label class="mb-1 block text-sm font-semibold" for={id}>{label}</label>
  <select
    {id}
    class="select w-full text-[0.95rem]"
    {value}
    aria-invalid={error ? true : undefined}
    onchange={(e) => onchange(e.currentTarget.value as T)}
  >
    {#each options as option (option.id)}<option value={option.id}>{option.name}</option>{/each}
  </select>
  {#if error}<p class="text-error mt-1 text-sm" role="alert">{error}</p>{/if}
</div>
