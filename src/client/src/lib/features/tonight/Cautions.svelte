<script lang="ts">
  import { TriangleAlert } from '@lucide/svelte';
  import type { Caution } from '../../api/client';
  import { say } from '../../messages/say';

  import { reasonOfCaution } from '../why/links';
  import WhyLink from '../why/WhyLink.svelte';

  type Props = { cautions: Caution[] };
  let { cautions }: Props = $props();
  const grave = $derived(cautions.filter((c) => c.grave));
  const usual = $derived(cautions.filter((c) => !c.grave));
</script>

<section class="dish p-4" aria-labelledby="cautions-title">
  <h2 id="cautions-title" class="flex items-center gap-2 text-xl">
    <TriangleAlert size={20} aria-hidden="true" />
    {say('cautions.title')}
  </h2>
  {#each grave as c (c.code)}
    <div class="border-secondary mt-2 border-l-4 pl-3">
      <p class="font-semibold">{say(`caution.${c.code}.title`)}</p>
      <p class="text-[0.95rem]">
        {say(`caution.${c.code}.text`)}
        <WhyLink reason={reasonOfCaution(c.code)} />
      </p>
      <p class="text-sm opacity-85">{say(`caution.${c.code}.source`)}</p>
    </div>
  {/each}
  <ul class="mt-2 text-[0.95rem]">
    {#each usual as c (c.code)}
      <li class="mt-1.5">
        <strong>{say(`caution.${c.code}.title`)}.</strong>
        {say(`caution.${c.code}.text`)}
        <WhyLink reason={reasonOfCaution(c.code)} />
      </li>
    {/each}
  </ul>
</section>
