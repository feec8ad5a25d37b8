import { useEffect, useState } from 'react';
import { keptPhoto } from '../api/kept-photos';
import { useSay } from '../ui/say';

/** A photo that this device keeps until it is sent. */
export function WaitingPhoto({ id }: { id: string }) {
  const say = useSay();
  const [address, setAddress] = useState<string>();
  useEffect(() => {
    let made: string | undefined;
    let left = false;
    keptPhoto(id).then(
      (photo) => {
        if (left) return;
        made = URL.createObjectURL(photo);
        setAddress(made);
      },
      // It is told by its write, once that is sent.
      () => undefined,
    );
    return () => {
      left = true;
      if (made) URL.revokeObjectURL(made);
    };
  }, [id]);
  return address && <img src={address} alt={say('casts.photoOfCast')} className="mt-1 h-24 w-auto" />;
}
