import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, JSON_BROUGHT, type Schemas } from "./client";

export type InArchive = Schemas["InArchive"];
export type Contents = Schemas["Contents"];
export type Backup = Schemas["Backup"];

const ZIP = {
  headers: { "Content-Type": "application/zip" },
  bodySerializer: (body: unknown) => body as Blob,
};

/** The archives the program has written by itself. */
export const useBackups = () =>
  useQuery({
    queryKey: ["backups"],
    queryFn: () => answered(api.GET("/api/archive/backups")),
  });

export type ArchiveState = Schemas["ArchiveState"];

/** So often is asked how far it is. */
const LOOK_MS = 300;

/** Something done with an archive while the page goes on: begun, watched, stopped, refused. */
function useArchiveWork<Asked>(
  begin: (asked: Asked) => Promise<ArchiveState>,
  onDone: (state: ArchiveState) => void,
) {
  const begun = useMutation({ mutationFn: begin });
  const id = begun.data?.id;
  const at = { params: { path: { id: id ?? 0 } } };
  const watched = useQuery({
    // A program started anew counts from one again: what an earlier one answered is not it.
    queryKey: ["archive-work", id, begun.submittedAt],
    enabled: id !== undefined,
    retry: false,
    staleTime: Infinity,
    queryFn: async () => {
      const state = await answered(api.GET("/api/archive/works/{id}", at));
      if (state.end === "DONE") {
        onDone(state);
      }
      return state;
    },
    refetchInterval: (query) =>
      query.state.error === null && query.state.data?.end == null ? LOOK_MS : false,
  });
  const stop = useMutation({
    mutationFn: () => answered(api.DELETE("/api/archive/works/{id}", at)),
  });
  const error = begun.error ?? watched.error ?? stop.error;
  return {
    begin: (asked: Asked) => {
      stop.reset();
      begun.mutate(asked);
    },
    underWay: begun.isPending || (id !== undefined && error === null && watched.data?.end == null),
    part: watched.data?.part ?? 0,
    state: watched.data,
    error,
    stop: () => stop.mutate(),
  };
}

export type ArchiveWork = Pick<
  ReturnType<typeof useArchiveWork>,
  "underWay" | "part" | "state" | "error" | "stop"
>;

/** Everything written into one file, which is then fetched from its address. */
export const useSaveArchive = (onWritten: (address: string) => void) =>
  useArchiveWork<undefined>(
    () => answered(api.POST("/api/archive/works/save", { headers: JSON_BROUGHT })),
    (state) => onWritten(`/api/archive/works/${state.id}/file`),
  );

/** What an archive holds; nothing is stored. */
export const useLookIntoArchive = () =>
  useArchiveWork<Blob>(
    (archive) =>
      answered(api.POST("/api/archive/works/look", { ...ZIP, body: archive as unknown as string })),
    () => undefined,
  );

interface Brought {
  archive: Blob;
  chosen: number[];
  beside: number[];
  practice: boolean;
}

/** Models of an archive brought back, all of those chosen or none. */
export function useBringBack() {
  const client = useQueryClient();
  return useArchiveWork<Brought>(
    ({ archive, ...query }) =>
      answered(
        api.POST("/api/archive/works/bring", {
          ...ZIP,
          params: { query },
          body: archive as unknown as string,
        }),
      ),
    () => void client.invalidateQueries({ predicate: (one) => one.queryKey[0] !== "archive-work" }),
  );
}

/** One of the program's own archives, as a file. */
export async function backup(name: string): Promise<Blob> {
  const answer = await api.GET("/api/archive/backups/{name}", {
    params: { path: { name } },
    parseAs: "blob",
  });
  return answered(Promise.resolve(answer as { data?: Blob; error?: unknown; response: Response }));
}
