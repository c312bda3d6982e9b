import type {
  AssignmentInput,
  AssignmentItem,
  Athlete,
  AthleteInput,
  AthleteListItem,
  SuggestionsOfAthlete,
  LevelItem,
  ReadingInput,
  SequenceFilingInput,
  SequenceListItem,
  SessionFilter,
  SessionPage,
  SessionRecord,
  StoredIntake,
  StoredReading,
  StoredSequence,
  StudioSuggestions,
  Today,
  WhoAmI,
  Changes,
} from '@clay-pot/contracts';
import type { Evidence, PastSession, Sequence, ShownUnits } from '@clay-pot/core';
import { keepPreviousData, skipToken, QueryClient, useInfiniteQuery, useMutation, useQuery } from '@tanstack/react-query';
import { rememberMe } from '../store/me.js';
import { OfflineError, request, requestAll } from './request.js';

/** What was seen stays for as long as a working day: without a network it is all there is. */
const KEPT_MS = 12 * 3_600_000;

/** What was asked of the server, and for how long it is believed. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 5_000,
      gcTime: KEPT_MS,
      retry: (count, error) => error instanceof OfflineError && count < 2,
      // Ask even when the browser believes to be offline: the answer then says so, instead of waiting without a word.
      networkMode: 'always',
    },
    mutations: { networkMode: 'always' },
  },
});

/** Marks what was seen under these keys as stale. A first request under way is repeated: its answer may be from before the change. */
export const refresh = (...keys: string[]) =>
  Promise.all(
    keys.map(async (key) => {
      await queryClient.cancelQueries({ queryKey: [key], predicate: ({ state }) => state.data === undefined });
      await queryClient.invalidateQueries({ queryKey: [key] });
    }),
  );

/** Marks everything that a recorded session changes as stale. */
export const refreshAfterSession = () =>
  refresh('today', 'sessions', 'athletes', 'evidence', 'intakes', 'readings', 'levels', 'suggestions', 'programmes');

/** Shows what was last seen on this device, and keeps it from now on; once for a page. */
export const showLastSeen = async (): Promise<void> => (await import('./last-seen.js')).startLastSeen(queryClient);

/** Shows what changed of who is signed in. */
export function keepMe(me: WhoAmI): void {
  rememberMe(me);
  queryClient.setQueryData(['me'], me);
}

/** Changes what numbers are shown in. One change waits for the one before: the units are sent whole. */
export const useChooseUnits = () =>
  useMutation({
    scope: { id: 'units' },
    mutationFn: (change: Partial<ShownUnits>) =>
      request<WhoAmI>('/sign-in/units', {
        method: 'PUT',
        body: { ...queryClient.getQueryData<WhoAmI>(['me'])?.units, ...change },
      }),
    onSuccess: keepMe,
  });

/** Who is signed in. */
export const useMe = () =>
  useQuery({
    queryKey: ['me'],
    queryFn: async () => {
      const me = await request<WhoAmI>('/sign-in');
      rememberMe(me);
      void showLastSeen();
      return me;
    },
    staleTime: Infinity,
  });

/** Who is due. */
export const useToday = () => useQuery({ queryKey: ['today'], queryFn: () => request<Today>('/today') });

/** People of the studio. */
export const useAthletes = () => useQuery({ queryKey: ['athletes'], queryFn: () => requestAll<AthleteListItem>('/athletes') });

/** One athlete; nothing is asked without an id. */
export const useAthlete = (id: string | undefined) =>
  useQuery({
    queryKey: ['athletes', id],
    queryFn: async () => {
      const athlete = await request<Athlete>(`/athletes/${id}`);
      // What stops are called is not needed before somebody is looked at.
      const { forgetArrived } = await import('../store/own-stops.js');
      forgetArrived(athlete.id, athlete.cautions);
      return athlete;
    },
    enabled: id !== undefined,
  });

/** Sequences of the studio. */
export const useSequences = () => useQuery({ queryKey: ['sequences'], queryFn: () => requestAll<SequenceListItem>('/sequences') });

/** A sequence as it is stored now. */
export const fetchSequence = (id: string) => request<StoredSequence>(`/sequences/${id}`);

/** A sequence, requested each time it is opened. */
export const useSequence = (id: string | undefined) =>
  useQuery(id === undefined ? { queryKey: ['sequences', id], queryFn: skipToken } : sequenceQuery(id));
/** One stored sequence, requested whenever it is looked at. */
export const sequenceQuery = (id: string) => ({
  queryKey: ['sequences', id],
  queryFn: () => fetchSequence(id),
  staleTime: 0,
});

/** Which sequences were given to whom. */
export const useAssignments = () => useQuery({ queryKey: ['assignments'], queryFn: () => requestAll<AssignmentItem>('/assignments') });

/** Sessions page by page, of one athlete or of all. */
export const useSessions = (athleteId?: string, { find = '', only = '' }: { find?: string; only?: SessionFilter | '' } = {}) =>
  useInfiniteQuery({
    queryKey: ['sessions', athleteId ?? 'all', ...(find || only ? [find, only] : [])],
    // What was found stays while more of a word is typed.
    placeholderData: keepPreviousData,
    initialPageParam: '',
    queryFn: ({ pageParam }) => {
      const query = new URLSearchParams({
        ...(athleteId && { athlete: athleteId }),
        ...(find && { find }),
        ...(only && { only }),
        ...(pageParam && { before: pageParam }),
      });
      return request<SessionPage>(`/sessions?${query}`);
    },
    getNextPageParam: (page) => page.nextBefore ?? undefined,
  });

/** How one session is asked for. */
export const sessionQuery = (id: string) => ({
  queryKey: ['sessions', 'one', id],
  queryFn: () => request<SessionRecord>(`/sessions/${id}`),
});
/** One session with all that was recorded. */
export const useSession = (id: string | undefined) => useQuery({ ...sessionQuery(id ?? ''), enabled: id !== undefined });

/** Stores an athlete’s record. */
export const useSaveAthlete = () =>
  useMutation({
    mutationFn: ({ id, input, etag }: { id: string; input: AthleteInput; etag?: string }) =>
      request<Athlete>(`/athletes/${id}`, { method: 'PUT', body: input, ...(etag && { ifMatch: etag }) }),
    onSuccess: (athlete) => {
      queryClient.setQueryData(['athletes', athlete.id], athlete);
      return refresh('athletes', 'today');
    },
  });

/** Stores a sequence over the version that it was made from. */
export const putSequence = (id: string, body: Sequence, ifMatch?: string) =>
  request<StoredSequence>(`/sequences/${id}`, { method: 'PUT', body, ...(ifMatch && { ifMatch }) });

/** Stores a new sequence. */
export const useCreateSequence = () =>
  useMutation({
    mutationFn: ({ id, document }: { id: string; document: Sequence }) => putSequence(id, document),
    onSuccess: () => refresh('sequences'),
  });

/** Stores a sequence from a file. */
export const useImportSequence = () =>
  useMutation({
    mutationFn: (body: { id: string; text: string }) => request<StoredSequence>('/sequences/import', { method: 'POST', body }),
    onSuccess: () => refresh('sequences'),
  });

/** Takes a sequence off the list. */
export const useRemoveSequence = () =>
  useMutation({
    mutationFn: ({ id, undo }: { id: string; undo: boolean }) =>
      undo ? request(`/sequences/${id}/restore`, { method: 'POST' }) : request(`/sequences/${id}`, { method: 'DELETE' }),
    onSuccess: () => refresh('sequences', 'assignments', 'today'),
  });

/** Files a sequence: tags, favourites, the archive; shown at once. */
export const useFileSequence = () =>
  useMutation({
    mutationFn: ({ id, filing }: { id: string; filing: SequenceFilingInput }) =>
      request(`/sequences/${id}/filing`, { method: 'PUT', body: filing }),
    onMutate: ({ id, filing }) =>
      queryClient.setQueryData<SequenceListItem[]>(['sequences'], (items) =>
        items?.map((item) => (item.id === id ? { ...item, ...filing } : item)),
      ),
    onSettled: () => refresh('sequences'),
  });

/** Gives a sequence to an athlete, or changes the days. */
export const useSaveAssignment = () =>
  useMutation({
    mutationFn: ({ id, input }: { id: string; input: AssignmentInput | null }) =>
      input ? request(`/assignments/${id}`, { method: 'PUT', body: input }) : request(`/assignments/${id}`, { method: 'DELETE' }),
    onSuccess: () => refresh('assignments', 'today', 'sequences'),
  });

/** What an athlete's sessions of the last four weeks came to. */
export const usePast = (athleteId: string | undefined, days?: number) =>
  useQuery({
    queryKey: ['sessions', 'past', athleteId, ...(days === undefined ? [] : [days])],
    queryFn: () => request<PastSession[]>(`/athletes/${athleteId}/past${days === undefined ? '' : `?days=${days}`}`),
    enabled: athleteId !== undefined,
  });

/** What an athlete was asked before training, the newest first. */
export const useIntakes = (athleteId: string | undefined) =>
  useQuery({
    queryKey: ['intakes', athleteId],
    queryFn: () => request<StoredIntake[]>(`/athletes/${athleteId}/intakes`),
    enabled: athleteId !== undefined,
  });

/** Shows answers and the record after them before the server has them. */
export function showIntake(intake: StoredIntake, athlete: Athlete): void {
  queryClient.setQueryData<Athlete>(['athletes', athlete.id], athlete);
  queryClient.setQueryData<StoredIntake[]>(['intakes', athlete.id], (seen = []) => [intake, ...seen]);
}

/** What was measured of an athlete; nothing is asked without an id. */
export const useReadings = (athleteId: string | undefined) =>
  useQuery({
    queryKey: ['readings', athleteId],
    queryFn: () => request<StoredReading[]>(`/athletes/${athleteId}/readings`),
    enabled: athleteId !== undefined,
  });

/** Shows readings before the server has them. */
export const showReadings = (athleteId: string, readings: readonly StoredReading[]): unknown =>
  queryClient.setQueryData<StoredReading[]>(['readings', athleteId], (seen = []) => [...seen, ...readings]);

/** What the sets of an athlete tell of their maxima. */
export const useEvidence = (athleteId: string | undefined) =>
  useQuery({
    queryKey: ['evidence', athleteId],
    queryFn: () => request<Evidence[]>(`/athletes/${athleteId}/evidence`),
    enabled: athleteId !== undefined,
  });

/** Where the hands of an athlete stand on their ladders. */
export const useLevels = (athleteId: string | undefined) =>
  useQuery({
    queryKey: ['levels', athleteId],
    queryFn: () => request<LevelItem[]>(`/athletes/${athleteId}/levels`),
    enabled: athleteId !== undefined,
  });

/** So soon it is asked again while athletes are still looked at. */
const ASK_AGAIN_MS = 300;

/** What waits for an answer over all athletes. */
export const useSuggestions = () =>
  useQuery({
    queryKey: ['suggestions', 'all'],
    queryFn: () => request<StudioSuggestions>('/suggestions'),
    refetchInterval: ({ state }) => (state.data && state.data.toLookAt > 0 ? ASK_AGAIN_MS : false),
  });

/** What waits for an answer of one athlete, and what was answered. */
export const useSuggestionsOf = (athleteId: string | undefined) =>
  useQuery({
    queryKey: ['suggestions', athleteId],
    queryFn: () => request<SuggestionsOfAthlete>(`/athletes/${athleteId}/suggestions`),
    enabled: athleteId !== undefined,
  });

/** Adds a measurement. */
export const useAddReading = (athleteId: string) =>
  useMutation({
    mutationFn: ({ id, input }: { id: string; input: ReadingInput }) =>
      request<StoredReading>(`/athletes/${athleteId}/readings/${id}`, { method: 'PUT', body: input }),
    onSuccess: () => refresh('readings'),
  });

/** Takes a measurement out. */
export const useRemoveReading = (athleteId: string) =>
  useMutation({
    mutationFn: (id: string) => request(`/athletes/${athleteId}/readings/${id}`, { method: 'DELETE' }),
    onSuccess: () => refresh('readings'),
  });

/** What changed in six weeks: for one person, or for everyone who follows a programme. */
export const useChanges = (of: 'athletes' | 'programmes', id: string | undefined) =>
  useQuery({
    queryKey: ['changes', of, id],
    queryFn: id === undefined ? skipToken : () => request<Changes>(`/${of}/${id}/changes`),
    refetchOnMount: 'always',
  });
