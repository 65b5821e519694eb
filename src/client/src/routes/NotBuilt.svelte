<script lang="ts">
  import Notice from '../lib/ui/Notice.svelte';
  import { p } from '../router';
</script>

<svelte:head><title>Not here · Bright Kettle</title></svelte:head>
<Notice title="Nothing on this burner" text="There is no such page, or it is not built yet.">
  <a class="btn btn-primary mt-4" href={p('/')}>To tonight's dinner</a>
</Notice>
