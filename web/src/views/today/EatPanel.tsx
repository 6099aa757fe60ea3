import { joined, named, t } from '../../messages/words';
import { Button, Input } from 'antd';
import { notices } from '../../app/notices';
import { useState } from 'react';
import type { Day, DayJar, DayPerson, Refusal } from '../../api/client';
import { useKnownFoods, useWriteOtherFood } from '../../api/intake';
import { complain } from '../../app/complain';
import { grams, mg, sodium } from '../../app/numbers';
import { JarDrawing } from '../../drawings/JarDrawing';

/** From so many jars on they are searched. */
const MANY_JARS = 6;

/** Foods from before that are offered, before anything is typed and after. */
const KNOWN = 4;

/** "Soup 600", "rye bread, 1,200 mg": a food and its sodium, in one line. */
const WITH_SODIUM = /^(\D.*?)[\s,:]+(\d{1,3}(?:[.,\s]\d{3})+|\d{1,5})\s*(?:mg)?$/iu;

interface Props {
  person: DayPerson;
  day: Day;
  eat: (jar: DayJar, grams: number) => void;
  close: () => void;
}

/** What someone eats now: a jar in a tap, what was eaten before in a tap, anything else in a line. */
export function EatPanel({ person, day, eat, close }: Props) {
  const [sought, setSought] = useState('');
  const [hasAll, setHasAll] = useState(false);
  const known = useKnownFoods(person.id, day.date);
  const write = useWriteOtherFood(null);
  const text = sought.trim().toLowerCase();
  const portionOf = (jar: DayJar) => jar.portions.find((one) => one.personId === person.id);
  const isFew = day.jars.length <= MANY_JARS || day.date < day.today;
  const isOpen = (jar: DayJar) => jar.isReady && portionOf(jar)?.sodium !== null;
  const found = day.jars.filter((jar) => jar.name.toLowerCase().includes(text));
  const shown = found
    .filter((jar) => isFew || hasAll || text !== '' || isOpen(jar))
    .toSorted((one, other) => Number(isOpen(other)) - Number(isOpen(one)));
  const hidden = day.jars.filter((jar) => !isOpen(jar)).length;
  const foods = (known.data?.foods ?? []).filter((food) => food.name.toLowerCase().includes(text)).slice(0, KNOWN);
  const typed = WITH_SODIUM.exec(sought.trim());
  const milligrams = typed === null ? null : Number((typed[2] ?? '').replace(/\D/g, ''));
  const record = (name: string, how: Parameters<typeof write.mutateAsync>[0]['how']) =>
    write.mutateAsync({ personId: person.id, name, eatenOn: day.date, how, insteadOf: [] }).then(
      () => {
        notices.done(t('eat_panel.written', { food: name, name: person.name }));
        close();
      },
      (refusal: Refusal) => complain(refusal),
    );

  return (
    <div className="at-hand" role="group" aria-label={t('eater.jars_for', { name: person.name })}>
      <div className="at-hand-search">
        <Input
          allowClear
          aria-label={t('eat_panel.search')}
          placeholder={t('eat_panel.example')}
          value={sought}
          onChange={(event) => setSought(event.target.value)}
          onPressEnter={() => {
            if (typed?.[1] !== undefined && milligrams !== null) {
              void record(typed[1], { by: 'mg', milligrams });
            }
          }}
        />
        {typed?.[1] !== undefined && milligrams !== null && (
          <Button
            type="primary"
            loading={write.isPending}
            onClick={() => void record(typed[1] ?? '', { by: 'mg', milligrams })}
          >
            {t('eat_panel.write', { food: typed[1], mg: mg(milligrams) })}
          </Button>
        )}
        {foods.map((food) => (
          <Button key={food.name} disabled={write.isPending} onClick={() => void record(food.name, food.how)}>
            {t('eat_panel.again', { food: food.name, mg: mg(Math.round(food.sodiumMg)) })}
          </Button>
        ))}
      </div>
      <div className={`at-hand-jars${shown.length > MANY_JARS ? ' is-many' : ''}`}>
        {shown.map((jar) => (
          <JarAtHand key={jar.id} jar={jar} person={person} eat={(portion) => eat(jar, portion)} />
        ))}
      </div>
      {text === '' && !isFew && hidden > 0 && (
        <Button type="text" aria-expanded={hasAll} onClick={() => setHasAll(!hasAll)}>
          {t('eat_panel.others', { count: hidden, hasAll })}
        </Button>
      )}
    </div>
  );
}

interface AtHandProps {
  jar: DayJar;
  person: DayPerson;
  eat: (grams: number) => void;
}

/** A jar to eat from: the usual portion in a tap, or as much as fits. */
function JarAtHand({ jar, person, eat }: AtHandProps) {
  const portion = jar.portions.find((one) => one.personId === person.id);
  const cost = portion?.sodium ?? null;
  const usual = portion?.grams ?? jar.servingGrams;
  const most = portion?.fitsGrams ?? 0;

  return (
    <div className="at-hand-jar">
      <button type="button" disabled={cost === null} onClick={() => eat(usual)}>
        <JarDrawing jar={jar.jar} scale={0.22} label="" seed={jar.id} />
        <span>{jar.name}</span>
        {cost ? (
          <span>
            {grams(usual)}, <b>{sodium(cost)}</b>
            {most < usual && <span className="does-not-fit">{t('eater.over_target')}</span>}
          </span>
        ) : (
          <span>{t('eater.less_than_portion')}</span>
        )}
        {!jar.isReady && <span className="soft">{t('eat_panel.not_ready')}</span>}
        {portion !== undefined && portion.clashes.length > 0 && (
          <span className="does-not-fit">
            {t('serve.not_for', {
              name: person.name,
              clashes: joined(portion.clashes.map((one) => named('allergen', one))),
            })}
          </span>
        )}
      </button>
      {most > 0 && most < usual && (
        <Button onClick={() => eat(most)} aria-label={t('eater.grams_of', { grams: grams(most), jar: jar.name })}>
          {t('eater.fit', { grams: grams(most) })}
        </Button>
      )}
    </div>
  );
}
