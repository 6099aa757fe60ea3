import { chosenLanguage } from '../messages/catalogue';
import { say, t, type Message } from '../messages/words';
import createClient from 'openapi-fetch';
import { AWAY, hearLastKnown, LAST_KNOWN } from './lastKnown';
import { hearClock } from './queue';
import type { components, operations, paths } from './contract.gen';

type Schemas = components['schemas'];

export type Session = Schemas['Session'];
export type Presets = Schemas['Presets'];
export type NewKitchen = Schemas['NewKitchen'];
/** What the household owns and who eats there, without the foods. */
export type House = Schemas['Kitchen'];
/** All of it, with every food that it knows. */
export type Kitchen = House & Schemas['Pantry'];
export type BenchFields = Schemas['BenchFields'];
export type BenchAnswer = Schemas['BenchAnswer'];
export type BenchPart = Schemas['BenchPart'];
export type Shelf = paths['/batches']['get']['responses']['200']['content']['application/json'];
export type EmptyJar = Shelf['emptyJars'][number];
export type ShelfBatch = Schemas['ShelfBatch'];
export type Batch = Schemas['Batch'];
export type BatchNumbers = Schemas['BatchNumbers'];
export type Entry = Schemas['Entry'];
export type Effect = components['responses']['Effect']['content']['application/json'];
export type Label = Schemas['Label'];
export type ServingStyle = Schemas['ServingStyle'];
export type Day = Schemas['Day'];
export type DayPerson = Day['people'][number];
export type DayJar = Day['jars'][number];
export type PlannedToday = DayPerson['planned'][number];
export type OtherFood = Schemas['OtherFood'];
export type IntakeAverage = Schemas['IntakeAverage'];
export type SearchResult = Schemas['SearchResult'];
export type BoughtFields = Schemas['BoughtFields'];
export type OtherFoodFields = Schemas['OtherFoodFields'];
export type KnownFood = Schemas['KnownFood'];
export type ServeFields = Schemas['ServeFields'];
export type DishFields = Schemas['DishFields'];
export type Meal = Schemas['Meal'];
export type LabelSodium = Schemas['LabelSodium'];
export type Savings = Schemas['Savings'];
export type Intake = Schemas['Intake'];
export type IntakeDay = Schemas['IntakeDay'];
export type IntakePreview = Schemas['IntakePreview'];
export type Week = Schemas['Week'];
export type WeekPerson = Week['people'][number];
export type WeekDay = WeekPerson['days'][number];
export type WeekJar = Week['jars'][number];
export type WeekServing = Week['servings'][number];
export type WeekConflict = Week['conflicts'][number];
export type WeekLever = WeekConflict['levers'][number];
export type PlannedServing = Schemas['PlannedServing'];
export type Rotation = Schemas['Rotation'];
export type RotationLine = Schemas['RotationLine'];
export type Timeline = Schemas['Timeline'];
export type Shopping = Schemas['Shopping'];
export type Lane = Timeline['lanes'][number];
export type ScheduledBatch = Schemas['ScheduledBatch'];
export type KindAhead = Timeline['kinds'][number];
export type Suggestion = Timeline['suggestions'][number];
export type Serving = Schemas['Serving'];
export type Sodium = Schemas['Sodium'];
export type Contribution = Schemas['Contribution'];
export type JarPicture = Schemas['JarPicture'];
export type KitchenPerson = Kitchen['people'][number];
export type KitchenJar = Kitchen['jars'][number];
export type KitchenSalt = Kitchen['salts'][number];
export type KitchenFood = Kitchen['ingredients'][number];
export type HoldDown = Kitchen['holdDowns'][number];
export type FormulaInList = Schemas['FormulaInList'];
export type ComputedFormula = Schemas['ComputedFormula'];
export type Formula = Schemas['Formula'];
export type ImportCandidate = Schemas['ImportCandidate'];
export type Place = Schemas['Place'];
export type WeighedMeasure = Schemas['WeighedMeasure'];
export type JarClosing = operations['closeJar']['requestBody']['content']['application/json'];
export type Aim = Schemas['Aim'];
export type Task = Schemas['Task'];
export type Verdict = Schemas['Verdict'];
export type PersonFields = Schemas['PersonFields'];
export type SaltFields = Schemas['SaltFields'];
export type FoodFields = Schemas['FoodFields'];
export type JarFields = Schemas['JarFields'];
export type HoldDownFields = Schemas['HoldDownFields'];
export type HouseholdFields = Schemas['HouseholdFields'];
export type RoomFields = paths['/rooms/{place}']['put']['requestBody']['content']['application/json'];
export type KitchenMethod = Kitchen['methods'][number];
export type Chore = Schemas['Chore'];

export type Chores = Schemas['Chores'];
export type Steps = Schemas['Steps'];
export type Step = Schemas['Step'];
export type StepAsDone = Schemas['StepAsDone'];
export type Begin = NonNullable<Schemas['Begin']>;
export type Note = Schemas['Note'];
export type NoteFields = Schemas['NoteFields'];
export type Log = Schemas['Log'];
export type Alike = Log['alike'][number];
export type Question = Schemas['Questions']['questions'][number];
export type Inspection = Schemas['Inspection'];
export type Practice = Schemas['Practice'];
export type Rooms = Schemas['Rooms'];
export type Room = Rooms['rooms'][number];
export type ReadingsImport = Schemas['ReadingsImport'];
export type FormulaDocument = Record<string, unknown>;

/** The status of a refusal that no server gave, or one that could not answer just now: it is tried again by itself. */
export const NO_ANSWER = 0;

/** What a key has written already. */
export type Written = Schemas['AlreadyWritten']['written'];

/** A request that was refused: a sentence, and sentences by field where there are any. */
export class Refusal extends Error {
  constructor(
    readonly status: number,
    message: string,
    readonly fields: Record<string, string[]> = {},
    readonly written: Written | null = null,
  ) {
    super(message);
  }

  /** The first sentence about a field. */
  of(field: string): string | undefined {
    return this.fields[field]?.[0];
  }

  /** What is said of it all, where no field is named. */
  get ofNoField(): string | undefined {
    return Object.keys(this.fields).length === 0 ? this.message : undefined;
  }

  /** What is wrong in one sentence: the first about a field, or what is said of it all. */
  get sentence(): string {
    return Object.values(this.fields)[0]?.[0] ?? this.message;
  }
}

function cookie(name: string): string {
  const found = document.cookie.split('; ').find((part) => part.startsWith(`${name}=`));
  return found ? decodeURIComponent(found.slice(name.length + 1)) : '';
}

/** Sends; where the page's token has gone stale, fetches a fresh one and sends once more. */
async function send(request: Request): Promise<Response> {
  const again = request.clone();
  const response = await fetch(request);
  hearLastKnown(response);
  if (!response.headers.has(LAST_KNOWN)) {
    hearClock(response.headers.get('Date'));
  }
  if (response.status !== 419) {
    return response;
  }
  await fetch('/api/session', { headers: { Accept: 'application/json' } });
  again.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
  return fetch(again);
}

/** When what waited was done, by its key without the last letters, which a numbered key changes. */
const doneAt = new Map<string, string>();

const stem = (key: string): string => key.slice(0, -2).toUpperCase();

/**
 * Requests with this key say when it was done, until what is returned is called.
 */
export function sayDoneAt(key: string, at: string): () => void {
  doneAt.set(stem(key), at);
  return () => void doneAt.delete(stem(key));
}

async function keyOf(request: Request): Promise<string | null> {
  const type = request.headers.get('Content-Type') ?? '';
  return (
    request.headers.get('Idempotency-Key') ??
    (type.includes('json') ? (/"requestKey":"(\w+)"/.exec(await request.clone().text())?.[1] ?? null) : null)
  );
}

export const api = createClient<paths>({
  baseUrl: '/api',
  headers: { Accept: 'application/json' },
  fetch: send,
});

api.use({
  async onRequest({ request }) {
    // Names of the library's foods and formulas come in the language that was chosen on this device.
    request.headers.set('Accept-Language', chosenLanguage());
    if (request.method !== 'GET') {
      request.headers.set('X-XSRF-TOKEN', cookie('XSRF-TOKEN'));
      const at = doneAt.size === 0 ? undefined : doneAt.get(stem((await keyOf(request)) ?? ''));
      if (at !== undefined) {
        request.headers.set('Done-At', at);
      }
    }
    return request;
  },
});

/** The body of an answer, or a Refusal thrown. */
export async function answered<T>(call: Promise<{ data?: T; error?: unknown; response: Response }>): Promise<T> {
  const { data, error, response } = await call.catch((): never => {
    throw new Refusal(NO_ANSWER, t('errors.no_connection'));
  });
  if (response.ok && data !== undefined) {
    return data;
  }
  const said = (error ?? {}) as {
    message?: Message | string;
    errors?: Record<string, Message[]>;
    written?: Written;
  };
  throw new Refusal(
    AWAY.includes(response.status) ? NO_ANSWER : response.status,
    // What stands before the application answers in a form of its own.
    (typeof said.message === 'object' ? say(said.message) : null) ?? t('errors.unknown'),
    Object.fromEntries(Object.entries(said.errors ?? {}).map(([field, why]) => [field, why.map((one) => say(one))])),
    said.written ?? null,
  );
}
