import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { answered, api, type Schemas } from "./client";

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

/** What an archive holds; nothing is stored. */
export const useLookIntoArchive = () =>
  useMutation({
    mutationFn: (archive: Blob) =>
      answered(api.POST("/api/archive/look", { ...ZIP, body: archive as unknown as string })),
  });

interface Brought {
  archive: Blob;
  chosen: number[];
  beside: number[];
  practice: boolean;
}

/** Models of an archive brought back, all of those chosen or none. */
export function useBringBack() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ archive, ...query }: Brought) =>
      answered(
        api.POST("/api/archive/bring", {
          ...ZIP,
          params: { query },
          body: archive as unknown as string,
        }),
      ),
    onSuccess: () => client.invalidateQueries(),
  });
}

/** One of the program's own archives, as a file. */
export async function backup(name: string): Promise<Blob> {
  const answer = await api.GET("/api/archive/backups/{name}", {
    params: { path: { name } },
    parseAs: "blob",
  });
  return answered(Promise.resolve(answer as { data?: Blob; error?: unknown; response: Response }));
}
