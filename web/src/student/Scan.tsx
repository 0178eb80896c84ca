import { t } from '@lingui/core/macro';
import jsQR from 'jsqr';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import styles from './student.module.css';

/** Pixels across of the picture that is looked through: enough for a card held at arm's length. */
const ACROSS = 480;
/** Milliseconds between two looks. */
const PACE = 250;

/** Looks through the camera for the code of a station. It looks at the picture on the phone; nothing is sent. */
export default function Scan({ onCode }: { onCode(text: string): void }) {
  const video = useRef<HTMLVideoElement>(null);
  const [problem, setProblem] = useState<string>();
  const found = useEffectEvent(onCode);
  useEffect(() => {
    let stream: MediaStream | undefined;
    let left = false;
    const canvas = document.createElement('canvas');
    const look = () => {
      const shown = video.current;
      const pen = canvas.getContext('2d', { willReadFrequently: true });
      if (!shown || !pen || shown.videoWidth === 0) return;
      canvas.width = ACROSS;
      canvas.height = Math.round((ACROSS * shown.videoHeight) / shown.videoWidth);
      pen.drawImage(shown, 0, 0, canvas.width, canvas.height);
      const { data, width, height } = pen.getImageData(0, 0, canvas.width, canvas.height);
      const code = jsQR(data, width, height);
      if (code?.data) found(code.data);
    };
    const timer = window.setInterval(look, PACE);
    void (async () => {
      try {
        stream = await navigator.mediaDevices.getUserMedia({ video: { facingMode: 'environment' } });
        if (left) return stream.getTracks().forEach((track) => track.stop());
        video.current!.srcObject = stream;
        await video.current!.play();
      } catch {
        setProblem(t`The camera cannot be used here. Type the station’s number.`);
      }
    })();
    return () => {
      left = true;
      window.clearInterval(timer);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  if (problem) return <p role="alert">{problem}</p>;
  return (
    <video ref={video} className={styles['camera']} muted playsInline aria-label={t`What the camera sees`} />
  );
}
