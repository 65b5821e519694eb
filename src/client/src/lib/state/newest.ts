/**
 * Asks about something that may change while the answer is on its way, and answers only about what it is by then: an
 * answer that was overtaken is asked for anew.
 */
export async function onNewest<T, A>(now: () => T, ask: (about: T) => Promise<A>): Promise<A> {
  for (;;) {
    const about = now();
    const answer = await ask(about);
    if (now() === about) return answer;
  }
}
