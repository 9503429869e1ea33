import { t } from "@lingui/core/macro";
import { Trans } from "@lingui/react/macro";
import { useEffect, useRef, useState } from "react";
import { Button } from "@/shared/ui/button";
import { Modal } from "@/shared/ui/modal";
import { Notice } from "@/shared/ui/notice";

const WISHED = {
  video: { facingMode: "environment", width: { ideal: 2560 }, height: { ideal: 1920 } },
  audio: false,
} as const;

/** The camera of this device, with a plumb line and a level to hold it by. */
export function CameraDialog({
  open,
  onOpenChange,
  onTaken,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  onTaken: (file: File) => void;
}) {
  return (
    <Modal
      open={open}
      onOpenChange={onOpenChange}
      title={t`Take a photo`}
      says={t`Stand about 3 m away, with the camera at seat height and square to the client, and something of known length beside them.`}
    >
      {open && <Live onTaken={onTaken} />}
    </Modal>
  );
}

function Live({ onTaken }: { onTaken: (file: File) => void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [ready, setReady] = useState(false);
  useEffect(() => {
    let stream: MediaStream | null = null;
    let gone = false;
    navigator.mediaDevices
      .getUserMedia(WISHED)
      .then((mediaStream) => {
        stream = mediaStream;
        if (gone) return stop(mediaStream);
        if (video.current) video.current.srcObject = mediaStream;
      })
      .catch(() =>
        setTrouble(
          t`No camera available. Check that one is connected and that the browser is allowed to use it.`,
        ),
      );
    return () => {
      gone = true;
      if (stream) stop(stream);
    };
  }, []);
  const take = () => {
    const seen = video.current;
    if (!seen) return;
    const canvas = document.createElement("canvas");
    canvas.width = seen.videoWidth;
    canvas.height = seen.videoHeight;
    canvas.getContext("2d")?.drawImage(seen, 0, 0);
    canvas.toBlob(
      (blob) => blob && onTaken(new File([blob], "camera.jpg", { type: "image/jpeg" })),
      "image/jpeg",
      0.92,
    );
  };
  if (trouble)
    return (
      <Notice role="alert">
        <Trans>{trouble} Choose a file instead.</Trans>
      </Notice>
    );
  return (
    <>
      <div className="relative border border-ink bg-deep">
        <video
          ref={video}
          autoPlay
          playsInline
          muted
          aria-label={t`Camera preview`}
          className="block w-full"
          onLoadedMetadata={() => setReady(true)}
        />
        <svg
          viewBox="0 0 100 100"
          preserveAspectRatio="none"
          className="pointer-events-none absolute inset-0 size-full"
          aria-hidden="true"
        >
          <path
            d="M50 0V100M0 50H100"
            stroke="var(--ground)"
            strokeWidth="3"
            vectorEffect="non-scaling-stroke"
            opacity="0.6"
          />
          <path
            d="M50 0V100M0 50H100"
            stroke="var(--ink)"
            strokeWidth="1"
            vectorEffect="non-scaling-stroke"
          />
        </svg>
      </div>
      <Button look="next" className="mt-3 w-full" disabled={!ready} onClick={take}>
        {ready ? t`Take photo` : t`Starting camera…`}
      </Button>
    </>
  );
}

function stop(stream: MediaStream): void {
  for (const track of stream.getTracks()) track.stop();
}
