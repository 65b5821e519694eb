import type { PracticeReady, PracticeScene } from '../api/client';
import { say } from '../messages/say';
import { grams } from './amounts';

/** What a scene is called: "Is it time for the rice?". */
export const sceneTitle = (id: string): string => say(`practice.scene.${id}` as 'practice.scene.rice_time');

/** What is in its pot and what is at stake. */
export const sceneStory = (scene: PracticeScene): string =>
  say(`practice.story.${scene.id}` as 'practice.story.rice_time', {
    pulse: `${scene.pulseName} (${grams(scene.pulseGrams)})`,
    rice: scene.riceName === null ? '' : `${scene.riceName} (${grams(scene.riceGrams)})`,
  });

/** What a dinner to practise is called, and what is at stake in it. */
export const dinnerTitle = (id: string): string =>
  say(`practice.dinner.${id}` as 'practice.dinner.quick_pot');

export const dinnerStory = (ready: PracticeReady): string =>
  say(`practice.dinner_story.${ready.id}` as 'practice.dinner_story.quick_pot', {
    pulse: ready.pulseName,
    rice: ready.riceName ?? '',
  });

export const sceneChoice = (id: string, choice: string): string =>
  say(`practice.choice.${id}.${choice}` as 'practice.choice.rice_time.now');

/** One sentence: why the best answer was the best in this pot. */
export const sceneWhy = (id: string, best: string): string =>
  say(`practice.why.${id}` as 'practice.why.rice_time', { best: best as 'now' });
