import { useEffect, useRef, useState, type RefObject } from 'react';
import type { PhotoPixels } from '@dewpot/core/photos';

/** How often a picture of the camera is looked into, ms, and how wide it is then, px. */
const LOOKS = 250;
const WIDE = 640;

/** What the camera is doing: none where the browser has none or may not use it. */
export type Camera = 'starting' | 'seeing' | 'none';

/** The picture that a video shows now. */
function pixelsNow(video: HTMLVideoElement, canvas: HTMLCanvasElement): PhotoPixels | undefined {
  if (video.videoWidth === 0) return undefined;
  const [width, height] = [WIDE, Math.round((WIDE * video.videoHeight) / video.videoWidth)];
  Object.assign(canvas, { width, height });
  const context = canvas.getContext('2d', { willReadFrequently: true });
  context?.drawImage(video, 0, 0, width, height);
  const data = context?.getImageData(0, 0, width, height).data;
  return data && { data, width, height };
}

/** Shows what the camera sees, and hands its pictures on one after another, until `onPicture` answers that it has what it wants. */
export function useLabelCamera(onPicture: (pixels: PhotoPixels) => Promise<boolean>): {
  readonly camera: Camera;
  /** Where it is shown. */
  readonly video: RefObject<HTMLVideoElement | null>;
} {
  const video = useRef<HTMLVideoElement>(null);
  const [camera, setCamera] = useState<Camera>('starting');
  useEffect(() => {
    const canvas = document.createElement('canvas');
    let over = false;
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setTimeout>;
    const look = async () => {
      const pixels = video.current && pixelsNow(video.current, canvas);
      const found = pixels ? await onPicture(pixels) : false;
      if (!over && !found) timer = setTimeout(() => void look(), LOOKS);
    };
    const begin = async () => {
      stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' }, audio: false });
      if (over || !video.current) return end();
      video.current.srcObject = stream;
      await video.current.play();
      setCamera('seeing');
      await look();
    };
    const end = () => stream?.getTracks().forEach((track) => track.stop());
    begin().catch(() => !over && setCamera('none'));
    return () => {
      over = true;
      clearTimeout(timer);
      end();
    };
  }, [onPicture]);
  return { camera, video };
} // prettier-ignore
