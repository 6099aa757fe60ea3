import { complain } from '../../app/complain';
import { say, t } from '../../messages/words';
import { Button } from 'antd';
import { useOpened } from '../../app/addressState';
import { ActionMenu } from '../../app/ActionMenu';
import { notices } from '../../app/notices';
import { Complaint } from '../../app/Complaint';
import { Dialog } from '../../app/Dialog';
import { useState } from 'react';
import { Link } from 'react-router';
import type { Aim, Batch, Place } from '../../api/client';
import { useHouse, usePlaces } from '../../api/queries';
import { useSetAim, useMoveJar, useReleaseBatch } from '../../api/tending';
import { QuantityBox } from '../../app/QuantityBox';

import { JarDrawer } from './JarDrawer';
import { useOnceRead } from '../../app/unread';
import { Deed, May } from '../../app/Deed';

type Gate = Batch['gates'][number];

/** Where the jar stands, how far it is to go, and what may be done with it then. */
export function JarSettings({ batch }: { batch: Batch }) {
  const kitchen = useHouse();
  const move = useMoveJar();
  const aim = useSetAim(batch.id);
  const passing = useOpened('release');
  const closing = useOpened('vessel');
  const places = usePlaces().filter(({ id }) => id !== batch.place);

  const to = (place: Place) =>
    move.mutate(
      { batch: batch.id, place },
      {
        onSuccess: (moved) => notices.done(t('batch.moved', { place: say(moved.placeLabel) })),
        onError: (refusal) => complain(refusal, 10),
      },
    );
  const at = (next: Aim | null) => aim.mutate(next, { onError: (refusal) => complain(refusal) });

  return (
    <>
      <May>
        <ActionMenu
          type="text"
          loading={move.isPending}
          items={places.map((place) => ({ key: place.id, label: say(place.label), do: () => to(place.id) }))}
        >
          {t('batch.move')}
        </ActionMenu>
        {batch.window && (
          <ActionMenu
            type="text"
            title={t('batch.aim_title', { aim: say(batch.window.aimLabel) })}
            loading={aim.isPending}
            items={[
              ...(kitchen.data?.aims ?? []).map(({ id, label }) => ({
                key: id,
                label: say(label),
                isChosen: id === batch.window?.aim,
                do: () => at(id),
              })),
              { key: 'kitchen', label: t('batch.kitchen_aim'), do: () => at(null) },
            ]}
          >
            {t('batch.aim')}
          </ActionMenu>
        )}
      </May>
      <Deed type="text" onClick={() => passing.open()}>
        {t('batch.release')}
      </Deed>
      {batch.isFood && (
        <Deed type="text" onClick={() => closing.open()}>
          {t('batch.vessel')}
        </Deed>
      )}
      {closing.isOpen && <JarDrawer batch={batch} close={closing.close} />}
      {passing.isOpen && <Gates batch={batch} close={passing.close} />}
    </>
  );
}

/** Bottling, keeping it out of the fridge, giving it away: each behind a reading of its acid. */
function Gates({ batch, close }: { batch: Batch; close: () => void }) {
  return (
    <Dialog open title={t('batch.release_title', { name: batch.name })} footer={null} onCancel={close} width={620}>
      {batch.gates.map((gate) => (
        <GateRow key={gate.purpose} batch={batch} gate={gate} close={close} />
      ))}
    </Dialog>
  );
}

function GateRow({ batch, gate, close }: { batch: Batch; gate: Gate; close: () => void }) {
  const pass = useReleaseBatch(batch.id);
  const move = useMoveJar();
  const [grams, setGrams] = useState<number | null>(null);
  const refusal = pass.error ?? move.error;
  const done = (words: string) => {
    notices.done(words);
    close();
  };
  const go = (): void =>
    gate.purpose === 'store_out'
      ? move.mutate(
          { batch: batch.id, place: 'cool' },
          { onSuccess: (moved) => done(t('batch.moved', { place: say(moved.placeLabel) })) },
        )
      : pass.mutate({ purpose: gate.purpose, grams }, { onSuccess: () => done(t('batch.saved')) });

  const send = useOnceRead(go);

  return (
    <section className="gate" aria-label={say(gate.label)}>
      <h3>{say(gate.label)}</h3>
      <p className={gate.isOpen ? undefined : 'complaint'}>{say(gate.reason)}</p>
      <ul className="soft">
        {gate.cautions.map((caution) => (
          <li key={caution.code}>{say(caution)}</li>
        ))}
        {gate.purpose === 'give_away' && batch.potassium && <li>{say(batch.potassium)}</li>}
      </ul>
      {refusal && (
        <Complaint>{refusal.of('grams') ?? refusal.of('purpose') ?? refusal.of('place') ?? refusal.message}</Complaint>
      )}
      <div className="words">
        {gate.isOpen && gate.purpose === 'give_away' && (
          <QuantityBox
            measures="grams"
            of={{ of: 'portion', id: batch.id }}
            aria-label={t('batch.release_amount')}
            placeholder={t('batch.how_much')}
            data-takes="weight"
            value={grams}
            change={setGrams}
          />
        )}
        {gate.isOpen ? (
          <Button loading={pass.isPending || move.isPending} onClick={(event) => send(event.target)}>
            {say(gate.label)}
          </Button>
        ) : (
          <Link className="as-button" to={`/shelf/${batch.id}/log`}>
            {t('batch.measure_ph')}
          </Link>
        )}
      </div>
    </section>
  );
}
