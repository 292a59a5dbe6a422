import { Camera } from "lucide-react";
import { buttonClass } from "./Button";

interface PhotoButtonProps {
  photo?: File;
  onPhoto: (photo: File | undefined) => void;
}

/** Takes a photo where the device has a camera, or a picture from a file. */
export function PhotoButton({ photo, onPhoto }: PhotoButtonProps) {
  return (
    <label className={buttonClass()}>
      <Camera aria-hidden className="size-5" /> {photo?.name ?? "Photo"}
      <input
        type="file"
        accept="image/jpeg,image/png"
        capture="environment"
        className="sr-only"
        // The same picture may be chosen twice: each time is a choice.
        onClick={(e) => {
          e.currentTarget.value = "";
        }}
        onChange={(e) => onPhoto(e.target.files?.[0])}
      />
    </label>
  );
}
