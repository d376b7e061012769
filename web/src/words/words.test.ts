import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import i18next, { type TFunction } from 'i18next';
import { beforeAll, describe, expect, it } from 'vitest';
import { FINDINGS, isNeutral, judgeRound, type Finding, type NoteAnalysis } from '@inner-hum/core/judge';
import { hornById, writtenMidi } from '@inner-hum/core/horn';
import { WORDS } from '../ui/helpTopics.ts';
import { nameNotesInTexts } from '../notation/notesInTexts.ts';
import { findingText } from '../notation/findingText.ts';
import deStartup from './messages/de/startup.json';
import deHelp from './messages/de/help.json';
import deApp from './messages/de/app.json';
import startup from './messages/en/startup.json';
import help from './messages/en/help.json';
import app from './messages/en/app.json';
import itStartup from './messages/it/startup.json';
import itHelp from './messages/it/help.json';
import itApp from './messages/it/app.json';

const en = { ...startup, ...app, ...help };
const de = { ...deStartup, ...deApp, ...deHelp };
const italian = { ...itStartup, ...itApp, ...itHelp };

let t: TFunction;
beforeAll(async () => {
  t = await i18next.init({
    lng: 'en',
    resources: { en: { translation: en } },
    interpolation: { escapeValue: false },
  });
});

/** Every leaf of the message file as "room.key". */
function leaves(node: object, path = ''): string[] {
  return Object.entries(node).flatMap(([key, value]) =>
    typeof value === 'string' ? [`${path}${key}`] : leaves(value as object, `${path}${key}.`),
  );
}

const textAt = (messages: object, key: string): string =>
  key.split('.').reduce<unknown>((node, name) => (node as Record<string, unknown>)[name], messages) as string;

const source = readdirSync(join(import.meta.dirname, '..'), { recursive: true, withFileTypes: true })
  .filter((entry) => entry.isFile() && /\.tsx?$/.test(entry.name) && !entry.name.includes('.test.'))
  .map((entry) => readFileSync(join(entry.parentPath, entry.name), 'utf8'))
  .join('\n');

describe('the messages', () => {
  it('hold none that nothing says', () => {
    const unused = leaves(en).filter((key) => {
      const plain = key.replace(/_(one|other)$/, '');
      const parent = plain.slice(0, plain.lastIndexOf('.'));
      const stem = plain.replace(/(Sharp|Flat)$/, '');
      return ![`'${plain}'`, `"${plain}"`, `\`${parent}.\${`, `\`${stem}\${`].some((use) =>
        source.includes(use),
      );
    });
    expect(unused.filter((key) => !/^(calibrate|word|finding)\./.test(key))).toEqual([]);
    // What a finding may be said by is in its row.
    const sentences = Object.entries(FINDINGS).flatMap(([kind, { forms }]) =>
      forms.length === 0 ? [kind] : forms.map((form) => kind + form),
    );
    const held = Object.keys(app.finding).map((key) => key.replace(/_(one|other)$/, ''));
    expect(new Set(held)).toEqual(new Set(sentences));
    expect(Object.keys(help.word)).toEqual(WORDS);
  });
});

describe.each(Object.entries({ en, de, it: italian }))('in %s', (language, messages) => {
  const said = new Map(leaves(messages).map((key) => [key, textAt(messages, key)]));

  it('every sentence is there, with what is put into it', () => {
    expect([...said.keys()]).toEqual(leaves(en));
    const put = (text: string) => [...new Set(text.match(/\{\{\w+\}\}|<\w+\/>/g))].toSorted().join(' ');
    const astray = leaves(en).filter((key) => {
      const [here, there] = [put(said.get(key) ?? ''), put(textAt(en, key))];
      // Of one thing a language may say "one" without its figure.
      return (
        here !== there &&
        !(key.endsWith('_one') && put(there.replace('{{count}}', '')) === put(here.replace('{{count}}', '')))
      );
    });
    expect(astray).toEqual([]);
  });

  it('it speaks calmly, in whole words of its own', () => {
    expect([...said].filter(([, text]) => text.includes('!') || text.trim() !== text || text === '')).toEqual(
      [],
    );
    if (language === 'en') return;
    // Names, signs and what is alike by chance; everything longer was left untranslated.
    const same = [...said].filter(
      ([key, text]) => text === textAt(en, key) && !key.startsWith('naming.') && text.split(/\s+/).length > 3,
    );
    expect(same.map(([key]) => key)).toEqual([]);
  });
});

/**
 * Our own old dialect, and words that a player of the language would not use, with what is said instead. Words to search by may be any.
 */
const BANNED: Record<'en' | 'de' | 'it', readonly (readonly [banned: RegExp, instead: string])[]> = {
  en: [
    [/stand-in/i, 'simulated player'],
    [/\bsw(?:u|i)ng(?:s|ing)?\b/i, 'vibrato'],
    [/\bwander/i, 'unsteady'],
    [/\bstairs?\b/i, 'flat stretch, jump'],
    [/\bset(?:tle|tled)? on (?:this|none)/i, 'choose, clear'],
    [/\blet go\b|was let go|let the sound/i, 'delete'],
    [/\btore\b|\btorn\b/i, 'broke, break'],
    [/brought in|bring in\b/i, 'import'],
    [/nowhere but|counted nowhere/i, 'not backed up, not included in statistics'],
    [/parted at/i, 'split at'],
    [/\bis true\b|sharp, true|: true\b/i, 'in tune'],
    [/else comes/i, 'otherwise you get'],
    [/in place of what/i, 'replace'],
    [/sit(?:ting)? down to/i, 'session'],
    [/\bmend(?:ed|s)?\b/i, 'improve, correct'],
    [/\banew\b/i, 'again'],
    [/went for \{\{ms/i, 'slow response'],
    [/\balike\b(?=\.)/i, 'even'],
    [/seen or heard|beat: \{\{/i, 'metronome'],
  ],
  de: [
    [/Vertretung/, 'simulierter Spieler'],
    [/es hört auf/i, 'Eingang'],
    [/Kartenlauf/, 'Messdurchgang'],
    [/\bHals\b/, 'Kehle'],
    [/Partitur/, 'Noten'],
    [/eigene[rn]? Gang/, 'meine Routine'],
    [/wecken/, 'einschalten'],
    [/Gleichmaß\b/, 'Gleichmäßigkeit'],
    [/Schlag: \{\{/, 'Metronom'],
    [/gestolpert|stolpert/, 'ungleichmäßig'],
    [/Tonvorstellung/, 'Voicing'],
    [/\breißt\b/, 'bricht ab'],
  ],
  it: [
    [/sostituto/i, 'esecutore simulato'],
    [/orecchio interno/i, 'orecchio interiore'],
    [/sovrasoffi/i, 'ottenuto come armonico'],
    [/corsa per la mappa/i, 'rilevazione'],
    [/canticchi/i, 'cantare a bocca chiusa'],
    [/\bstrido\b/i, 'stridio'],
    [/porta dentro/i, 'importa'],
    [/inciampat/i, 'irregolare'],
    [/\bparla(?:no|to)?\b/i, 'esce, risponde'],
    [/si rompe/i, 'si interrompe'],
    [/Battito: \{\{/, 'metronomo'],
  ],
};

describe.each(Object.entries({ en, de, it: italian }))('the words of %s', (language, messages) => {
  it('are those of the field, and not ours', () => {
    const said = leaves(messages).filter((key) => !/^(familySearch|find)\./.test(key));
    const found = BANNED[language as keyof typeof BANNED].flatMap(([banned, instead]) =>
      said
        .filter((key) => banned.test(textAt(messages, key)))
        .map((key) => `${key}: "${textAt(messages, key)}" (say ${instead})`),
    );
    expect(found).toEqual([]);
  });
});

describe('a verdict in words', () => {
  const findings: [Finding, string][] = [
    [{ kind: 'jump', to: 2, atSeconds: 6.04 }, 'The note slipped to partial 2 after 6.0 s.'],
    [{ kind: 'gap', atSeconds: 3.2, lengthMs: 83 }, 'The tone broke off for 80 ms at 3.2 s.'],
    [{ kind: 'short', heldSeconds: 3.94, writtenSeconds: 8 }, 'The note stopped at 3.9 of 8.0 s.'],
    [
      { kind: 'stair', count: 1, worstDb: 4.61, atSeconds: 1.4 },
      'Uneven at 1.4 s: a flat stretch, then a 4.6 dB jump.',
    ],
    [
      { kind: 'stair', count: 3, worstDb: 4, atSeconds: 1 },
      'Uneven: 3 flat stretches, each with a jump after it, the largest 4.0 dB; the first at 1.0 s.',
    ],
    [{ kind: 'peak', beats: 0.52 }, 'The peak came 0.5 beats late.'],
    [{ kind: 'peak', beats: -0.52 }, 'The peak came 0.5 beats early.'],
    [{ kind: 'loudEnd', cents: -17.6 }, '18 cents flat at the loud end.'],
    [{ kind: 'softEnd', cents: 21 }, '21 cents sharp at the soft end.'],
    [{ kind: 'pitch', cents: -12 }, '12 cents flat throughout.'],
    [{ kind: 'wander', cents: 11 }, 'Unsteady pitch: ±11 cents.'],
    [{ kind: 'swellError', db: 3.1 }, '3.1 dB off the written shape.'],
    [{ kind: 'hardlyGrew', db: 2.1, writtenDb: 12.4 }, 'Hardly grew: 2.1 of 12 dB.'],
    [{ kind: 'beginLevel', db: -9, mark: 'p', written: 'f' }, 'Began at p; f was written.'],
    [{ kind: 'place', db: 11 }, '11.0 dB louder than written for this phrase.'],
    [{ kind: 'endBeat', ms: -512 }, 'Ended 510 ms early.'],
    [
      { kind: 'evenSwell', cents: -12.2, withinCents: 9 },
      'Even and unbroken; 12 cents lower when loud, within 9 cents of its place.',
    ],
    [
      { kind: 'even', errorDb: 0.34, withinCents: 1.2 },
      'Even and unbroken: 0.3 dB off the shape, pitch within 1 cent.',
    ],
  ];
  it.each(findings)('%j', (finding, text) => expect(findingText(finding, 'letters', t)).toBe(text));

  it('puts every figure that a sentence asks for', () => {
    const figures = {
      ...{
        partial: 3,
        to: 3,
        wanted: 2,
        count: 2,
        ms: 83,
        lengthMs: 83,
        seconds: 2,
        atSeconds: 1,
        beats: 0.5,
      },
      ...{
        heldSeconds: 1,
        writtenSeconds: 2,
        cents: 12,
        spreadCents: 3,
        wantedCents: 200,
        db: 2,
        worstDb: 3,
      },
      ...{
        errorDb: 1,
        airierDb: 6,
        softerDb: 4,
        harmonics: 1,
        hz: 5,
        leastHz: 4,
        mostHz: 6,
        regularity: 0.5,
        percent: 12,
        withinCents: 7,
        writtenDb: 12,
        mark: 'mp',
        written: 'ff',
      },
      ...{ heardMidi: writtenMidi(60), cause: 'pitch' },
    };
    const opposite = {
      ...figures,
      partial: 1,
      to: 1,
      cents: -12,
      db: -2,
      beats: -0.5,
      ms: -83,
      cause: 'completed',
    };
    for (const kind of Object.keys(FINDINGS))
      for (const payload of [figures, opposite]) {
        const text = findingText({ ...payload, kind } as unknown as Finding, 'letters', t);
        expect(text, kind).not.toMatch(/\{\{|finding\.|NaN|undefined|−|-\d/);
      }
  });

  it('says nothing of what another version found, and counts it all the same', () => {
    const foreign = { kind: 'constructor', db: 3 } as unknown as Finding;
    expect(findingText(foreign, 'letters', t)).toBe('');
    expect(isNeutral(foreign)).toBe(false);
    const items = [{ kind: 'note', verdict: { findings: [foreign] } }] as unknown as NoteAnalysis[];
    expect(
      judgeRound([{ items }], {
        exercise: { family: null, tempoBpm: 60, phrases: [] },
        horn: hornById('alto'),
      }),
    ).toMatchObject({ judged: 1, asWritten: 0, advice: 'moveOn' });
    // Bare air as strong as the first has no side.
    expect(findingText({ kind: 'airAgainst', db: 0 }, 'letters', t)).toBe('0.0 dB more air than the first.');
  });

  it('names notes inside texts by the player’s names', () => {
    nameNotesInTexts('fixedDo');
    expect(t('familyPurpose.breakDrill')).toBe('Do5 and Re5, slurred and over a held breath.');
    nameNotesInTexts('letters');
    expect(t('familyHow.octaveRestart')).toContain('From C sharp 4 down');
    // Every note that any text speaks of has a name.
    const left = leaves(en).filter((key) => /\{\{n\d+\}\}/.test(t(key as never)));
    expect(left).toEqual([]);
  });
});
