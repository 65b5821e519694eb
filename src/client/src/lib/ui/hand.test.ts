import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { keepsHand } from './hand';

describe('the hand', () => {
  let away: () => void;
  const settled = () => new Promise((done) => setTimeout(done));
  const at = (id: string) => document.getElementById(id) as HTMLElement;
  beforeEach(() => {
    document.body.innerHTML =
      '<nav><button id="outside"></button></nav><main id="main"><section id="card"><p id="inner"><button id="done"></button></p><button id="other"></button></section></main>';
    away = keepsHand(at('main'));
  });
  afterEach(() => away());

  it('stays in what is left when the pressed thing goes', async () => {
    at('done').focus();
    at('inner').remove();
    await settled();
    expect(document.activeElement?.id).toBe('card');
  });
  it('stays on the page when all of it goes', async () => {
    at('done').focus();
    at('main').innerHTML = '<h1>Another view</h1>';
    await settled();
    expect(document.activeElement?.id).toBe('main');
  });
  it('is not taken from where it went by itself', async () => {
    at('done').focus();
    at('other').focus();
    at('inner').remove();
    await settled();
    expect(document.activeElement?.id).toBe('other');
    at('outside').focus();
    at('other').remove();
    await settled();
    expect(document.activeElement?.id).toBe('outside');
  });
  it('stays too where leaving is told before the thing is gone', async () => {
    at('done').focus();
    at('done').dispatchEvent(new FocusEvent('focusout', { bubbles: true, relatedTarget: null }));
    at('inner').remove();
    await settled();
    expect(document.activeElement?.id).toBe('card');
  });
  it('is not brought back to a page that it left', async () => {
    at('done').focus();
    at('done').blur();
    await settled();
    at('inner').remove();
    await settled();
    expect(document.activeElement).toBe(document.body);
  });
});
