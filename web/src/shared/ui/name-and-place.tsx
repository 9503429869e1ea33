import { t } from "@lingui/core/macro";
import { LabelledInput } from "./labelled";

/** What a thing is called and where it stands. */
export function NameAndPlace({
  name,
  place,
  onName,
  onPlace,
}: {
  name: string;
  place: string;
  onName: (name: string) => void;
  onPlace: (place: string) => void;
}) {
  return (
    <>
      <LabelledInput
        label={t`Name`}
        required
        maxLength={200}
        value={name}
        onChange={(event) => onName(event.target.value)}
      />
      <LabelledInput
        label={t`Location`}
        maxLength={200}
        value={place}
        onChange={(event) => onPlace(event.target.value)}
      />
    </>
  );
}
