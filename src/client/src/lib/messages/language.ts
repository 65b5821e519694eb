import { others } from './languages/others.g';

const key = 'bright-kettle.language';

/** Where a language was chosen here it is spoken, else the browser's first that is known, else English. */
function chosen(): string {
  let kept: string | null = null;
  try {
    kept = localStorage.getItem(key);
  } catch {
    // A browser that keeps nothing has its own languages.
  }
  const wished = [kept, ...navigator.languages].map((l) => l?.split('-')[0] ?? '');
  return wished.find((l) => l === 'en' || l in others) ?? 'en';
}

/** The language of this page, from its first word on. */
export const language = chosen();

/** For dates and times: English as it is written in most of the world. */
export const locale = language === 'en' ? 'en-GB' : language;
