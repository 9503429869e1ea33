import { useEffect, useState } from "react";
import { useStore } from "zustand";
import { network } from "./network";
import { outbox } from "./outbox";
import { photoName } from "./taken";
import { keptBytes } from "./vault";

/** Where a photograph is shown from: the server, or this device while the server is away or has not got it. */
export function usePicture(photoId: string): string {
  const away = useStore(network, (state) => state.away);
  const unsent = useStore(outbox, ({ count }) => count > 0);
  const [here, setHere] = useState<string | null>(null);
  useEffect(() => {
    if (!away && !unsent) return setHere(null);
    let url: string | null = null;
    let gone = false;
    void keptBytes(photoName(photoId)).then((bytes) => {
      if (gone || !bytes) return;
      url = URL.createObjectURL(new Blob([bytes as BlobPart]));
      setHere(url);
    });
    return () => {
      gone = true;
      if (url) URL.revokeObjectURL(url);
    };
  }, [photoId, away, unsent]);
  return here ?? `/api/photos/${photoId}.jpg`;
}
