import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { filesToTake, kindOfFile } from './givenFiles.ts';

const file = (name: string, type = '') => new File(['x'], name, { type });

describe('what a file is for', () => {
  it.each([
    ['etude.musicxml', '', 'exercises'],
    ['etude.MXL', 'application/zip', 'exercises'],
    ['line.mid', 'audio/midi', 'exercises'],
    ['my exercises.json', 'application/json', 'exercises'],
    ['take 3.WAV', '', 'sound'],
    ['memo.m4a', 'audio/mp4', 'sound'],
    ['inner-hum 2026-11-29.zip', '', 'archive'],
    ['recording', 'audio/ogg', 'sound'],
    ['shared', 'application/vnd.recordare.musicxml', 'exercises'],
    ['shared', 'audio/mid', 'exercises'],
    ['photo.jpg', 'image/jpeg', null],
    ['notes.txt', 'text/plain', null],
    ['', '', null],
  ])('%s (%s): %s', (name, type, kind) => {
    expect(kindOfFile({ name, type })).toBe(kind);
  });

  it('never throws, whatever a file is called', () => {
    fc.assert(fc.property(fc.string(), fc.string(), (name, type) => void kindOfFile({ name, type })));
  });

  it('is decided by the first that is of use, and the others of its kind come with it', () => {
    const given = [file('photo.jpg'), file('a.wav'), file('b.mid'), file('c.flac')];
    expect(filesToTake(given)).toEqual({ kind: 'sound', files: [given[1], given[3]] });
    expect(filesToTake([file('photo.jpg')])).toBeNull();
    expect(filesToTake([])).toBeNull();
  });
});
