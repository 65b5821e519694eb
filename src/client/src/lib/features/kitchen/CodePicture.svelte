<script lang="ts">
  import { encode } from 'uqr';

  type Props = { text: string; label: string };
  let { text, label }: Props = $props();
  const code = $derived(encode(text, { ecc: 'M', border: 3 }));
  const path = $derived(
    code.data.flatMap((row, y) => row.flatMap((dark, x) => (dark ? [`M${x} ${y}h1v1h-1z`] : []))).join(''),
  );
</script>

<!-- Dark on light in both themes: cameras want it so. -->
<svg
  viewBox="0 0 {code.size} {code.size}"
  class="h-44 w-44 rounded-lg"
  role="img"
  aria-label={label}
  shape-rendering="crispEdges"
  data-code-picture={text}
>
  <rect width={code.size} height={code.size} fill="#fffdf7" />
  <path d={path} fill="#20264a" />
</svg>
