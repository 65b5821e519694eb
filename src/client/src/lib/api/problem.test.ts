import { describe, expect, it } from 'vitest';
import { unreachable } from './problem';

describe('when nothing answers', () => {
  it('the program has stopped, seen from its own machine', () => {
    expect(unreachable('localhost', true).title).toBe('The kettle does not answer');
    expect(unreachable('127.0.0.1', true).detail).toContain('has stopped');
  });
  it('a phone looks for its network first', () => {
    expect(unreachable('192.168.1.20', true).detail).toContain('Wi-Fi');
    expect(unreachable('192.168.1.20', false).title).toBe('No connection to the kettle');
    expect(unreachable('localhost', false).title).toBe('No connection to the kettle');
  });
});
