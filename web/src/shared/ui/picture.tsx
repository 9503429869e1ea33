import type { ComponentProps } from "react";
import { usePicture } from "../device/use-picture";

/** A photograph of a visit, also without network. */
export function Picture({
  id,
  ...rest
}: { id: string } & Omit<ComponentProps<"img">, "src" | "id">) {
  return <img src={usePicture(id)} alt="" {...rest} />;
}

/** The same within a drawing. */
export function DrawnPicture({
  id,
  ...rest
}: { id: string } & Omit<ComponentProps<"image">, "href" | "id">) {
  return <image href={usePicture(id)} {...rest} />;
}
