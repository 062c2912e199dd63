import type { JournalPage, OlderVisits, Readings, WeatherReport } from '@incremen/contract';
import type { Problem } from '@incremen/core/basics';
import { createApi, fakeBaseQuery } from '@reduxjs/toolkit/query/react';
import { api } from './api.ts';
import { keepWeather } from './keptWeather.ts';
import { problemsOf } from './problemsOf.ts';

/** An answer of the server, or what is wrong with the question. What nobody foresaw is thrown on. */
async function answered<T>(answer: Promise<T>): Promise<{ data: T } | { error: readonly Problem[] }> {
  try {
    return { data: await answer };
  } catch (error) {
    return { error: problemsOf(error) };
  }
}

/**
 * What the server knows besides the records: weather, readings of the past, the journal. The records themselves are
 * mirrored, so that they are there without a network.
 *
 * What follows from the records bears the tag `records`: it is asked for anew when they move on.
 */
export const serverData = createApi({
  reducerPath: 'server',
  baseQuery: fakeBaseQuery<readonly Problem[]>(),
  tagTypes: ['records'],
  endpoints: (build) => ({
    weather: build.query<WeatherReport, { operationId: string; day: string; hour: number }>({
      queryFn: async ({ operationId, day, hour }) => {
        const answer = await answered(api.weather(operationId, day, hour));
        if ('data' in answer) keepWeather(operationId, answer.data);
        return answer;
      },
      // Its station sends new hours all the time: a view that opens asks again.
      keepUnusedDataFor: 0,
    }),
    readingsAsOf: build.query<Readings, { operationId: string; day: string }>({
      queryFn: ({ operationId, day }) => answered(api.readingsAsOf(operationId, day)),
      providesTags: ['records'],
    }),
    readingsOfColony: build.query<Readings, { operationId: string; colonyId: string }>({
      queryFn: ({ operationId, colonyId }) => answered(api.readingsOfColony(operationId, colonyId)),
      providesTags: ['records'],
    }),
    olderVisits: build.query<OlderVisits, { operationId: string; colonyId: string | null }>({
      queryFn: ({ operationId, colonyId }) => answered(api.olderVisits(operationId, colonyId)),
      providesTags: ['records'],
    }),
    journal: build.infiniteQuery<JournalPage, string, number | null>({
      infiniteQueryOptions: { initialPageParam: null, getNextPageParam: (page) => page.next ?? undefined },
      queryFn: ({ queryArg: operationId, pageParam }) => answered(api.journal(operationId, pageParam)),
      providesTags: ['records'],
    }),
  }),
});

export const {
  useWeatherQuery,
  useReadingsAsOfQuery,
  useReadingsOfColonyQuery,
  useOlderVisitsQuery,
  useJournalInfiniteQuery,
} = serverData;
