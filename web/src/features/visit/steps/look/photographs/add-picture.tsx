import { t } from "@lingui/core/macro";
import { Camera, ImagePlus } from "lucide-react";
import { useEffect, useRef, useState } from "react";
import { useAddPhoto } from "@/shared/api/queries";
import { Button } from "@/shared/ui/button";
import { Notice } from "@/shared/ui/notice";
import { useVisitFacts } from "../../../state/facts";
import { CameraDialog } from "./camera-dialog";

/** A picture from the camera or a file, sent at once and again until it is there. */
export function AddPicture({ onAdded }: { onAdded: (id: string) => void }) {
  const { visit, catalogue } = useVisitFacts();
  const [heavy, setHeavy] = useState<string | null>(null);
  const add = useAddPhoto(visit.id);
  const choose = useRef<HTMLInputElement>(null);
  const shoot = useRef<HTMLInputElement>(null);
  const [live, setLive] = useState(false);
  const [coming, setComing] = useComing(add.isPending);
  const take = (file: File | undefined) => {
    setLive(false);
    setHeavy(null);
    const most = catalogue.picture_bytes;
    if (file && file.size > most)
      setHeavy(
        t`The photo is ${megabytes(file.size)}; the limit is ${megabytes(most)}. Use a lower resolution.`,
      );
    else if (file) {
      setComing(URL.createObjectURL(file));
      add.send(file, onAdded);
    }
  };
  /** A tablet's own camera app takes the better picture; else the camera is shown here. */
  const openCamera = () =>
    matchMedia("(pointer: coarse)").matches || !navigator.mediaDevices
      ? shoot.current?.click()
      : setLive(true);
  return (
    <div>
      <div className="grid grid-cols-2 gap-2">
        <Button onClick={openCamera} disabled={add.isPending}>
          <Camera size={18} aria-hidden="true" /> {t`Camera`}
        </Button>
        <Button onClick={() => choose.current?.click()} disabled={add.isPending}>
          <ImagePlus size={18} aria-hidden="true" /> {t`File`}
        </Button>
      </div>
      {[
        { ref: shoot, label: t`Photo from the camera`, capture: "environment" as const },
        { ref: choose, label: t`Photo from a file` },
      ].map(({ ref, label, ...rest }) => (
        <input
          key={label}
          ref={ref}
          type="file"
          accept="image/jpeg,image/png,image/webp"
          aria-label={label}
          className="sr-only"
          tabIndex={-1}
          {...rest}
          onChange={(event) => {
            take(event.target.files?.[0]);
            event.target.value = "";
          }}
        />
      ))}
      <CameraDialog open={live} onOpenChange={setLive} onTaken={take} />
      <p className="mt-1 min-h-5 text-sm text-soft" role="status">
        {add.isPending
          ? add.failureCount
            ? t`No connection. Retrying…`
            : t`Sending the photo…`
          : t`JPEG, PNG or WebP, up to 25 MB. Location data is removed.`}
      </p>
      {coming && (
        <img
          src={coming}
          alt={t`Sending`}
          className="mt-1 aspect-[4/3] w-1/3 border border-ink/40 object-cover opacity-70"
        />
      )}
      {(heavy ?? add.error) && (
        <Notice role="alert" className="mt-1 text-sm">
          {heavy ?? add.error?.message}
        </Notice>
      )}
    </div>
  );
}

/** A local address for the picture, shown while it is sent and released once the server has it. */
function useComing(sending: boolean) {
  const [coming, setComing] = useState<string | null>(null);
  useEffect(() => {
    if (!sending) setComing(null);
  }, [sending]);
  useEffect(() => () => (coming ? URL.revokeObjectURL(coming) : undefined), [coming]);
  return [coming, setComing] as const;
}

function megabytes(size: number): string {
  return `${(size / 1024 / 1024).toFixed(1)} MB`;
}
