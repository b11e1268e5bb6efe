import type {
  Drill,
  DrillAnswer,
  NewPractice,
  PracticeAnswer,
  PracticeBoard,
  PracticeCar,
  PracticeCheck,
  PracticeGauge,
  Rib,
  Wheel,
} from '@keen/contract';
import {
  drillSchema,
  practiceBoardSchema,
  practiceCarSchema,
  practiceGaugeSchema,
} from '@keen/contract';
import { keenApi } from './keenApi.ts';

/** An entry as the server takes it: a depth under its path. */
interface NoteTaken {
  id: string;
  path: string;
  value: unknown;
  at: string;
}

/** Made-up cars to practise on. */
export const practiceApi = keenApi.injectEndpoints({
  endpoints: (build) => ({
    practice: build.query<PracticeBoard, void>({
      query: () => 'practice',
      responseSchema: practiceBoardSchema,
      providesTags: ['Practice'],
    }),
    practiceCar: build.query<PracticeCar, string>({
      query: (id) => `practice/cars/${id}`,
      responseSchema: practiceCarSchema,
    }),
    dealPractice: build.mutation<PracticeCar, NewPractice>({
      query: (body) => ({ url: 'practice/cars', method: 'POST', body }),
      invalidatesTags: ['Practice'],
      responseSchema: practiceCarSchema,
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(upsertCar(answer.data));
      },
    }),
    setGaugeDown: build.mutation<PracticeGauge, { id: string; wheel: Wheel; rib: Rib }>({
      query: ({ id, ...body }) => ({ url: `practice/cars/${id}/gauge`, method: 'POST', body }),
      responseSchema: practiceGaugeSchema,
    }),
    notePractice: build.mutation<PracticeCar, { id: string; entries: NoteTaken[] }>({
      query: ({ id, entries }) => ({
        url: `practice/cars/${id}/entries`,
        method: 'POST',
        body: { entries },
      }),
      responseSchema: practiceCarSchema,
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(upsertCar(answer.data));
      },
    }),
    makePracticeCheck: build.mutation<PracticeCar, { id: string; check: PracticeCheck }>({
      query: ({ id, check }) => ({
        url: `practice/cars/${id}/checks`,
        method: 'POST',
        body: { check },
      }),
      responseSchema: practiceCarSchema,
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(upsertCar(answer.data));
      },
    }),
    answerPractice: build.mutation<PracticeCar, { id: string; answer: PracticeAnswer }>({
      query: ({ id, answer }) => ({
        url: `practice/cars/${id}/answer`,
        method: 'POST',
        body: answer,
      }),
      invalidatesTags: ['Practice'],
      responseSchema: practiceCarSchema,
      onQueryStarted: async (_asked, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(upsertCar(answer.data));
      },
    }),
    drill: build.query<Drill, string>({
      query: (id) => `practice/drills/${id}`,
      responseSchema: drillSchema,
    }),
    newDrill: build.mutation<Drill, string>({
      query: (id) => ({ url: 'practice/drills', method: 'POST', body: { id } }),
      responseSchema: drillSchema,
      invalidatesTags: ['Practice'],
    }),
    answerDrill: build.mutation<Drill, DrillAnswer & { id: string }>({
      query: ({ id, ...body }) => ({
        url: `practice/drills/${id}/answers`,
        method: 'POST',
        body,
      }),
      responseSchema: drillSchema,
      invalidatesTags: ['Practice'],
      onQueryStarted: async ({ id }, { dispatch, queryFulfilled }) => {
        const answer = await queryFulfilled.catch(() => null);
        if (answer) void dispatch(practiceApi.util.upsertQueryData('drill', id, answer.data));
      },
    }),
    showPractice: build.mutation<PracticeBoard, boolean>({
      query: (isShown) => ({ url: 'practice/shown', method: 'PUT', body: { isShown } }),
      responseSchema: practiceBoardSchema,
      invalidatesTags: ['Practice'],
    }),
  }),
});

/** An answer that is the car as it is now: it need not be asked for again. */
function upsertCar(car: PracticeCar) {
  return practiceApi.util.upsertQueryData('practiceCar', car.id, car);
}

export const {
  usePracticeQuery,
  usePracticeCarQuery,
  useDealPracticeMutation,
  useSetGaugeDownMutation,
  useNotePracticeMutation,
  useMakePracticeCheckMutation,
  useAnswerPracticeMutation,
  useDrillQuery,
  useNewDrillMutation,
  useAnswerDrillMutation,
  useShowPracticeMutation,
} = practiceApi;
