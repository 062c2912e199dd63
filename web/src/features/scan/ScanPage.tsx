import { Box, Button, Text } from '@chakra-ui/react';
import { useEffect, useRef, useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { PageHeader } from '../../ui/PageHeader.tsx';
import { placeOfCode, scanCode } from './scanCode.ts';
import styles from './ScanPage.module.css';

/** Reads the tag of a hive with the camera, and goes to its page. Nothing of the picture is kept or sent. */
export function ScanPage() {
  const video = useRef<HTMLVideoElement>(null);
  const navigate = useNavigate();
  const [trouble, setTrouble] = useState<string | null>(null);
  const [round, setRound] = useState(0);
  useEffect(() => {
    const stop = new AbortController();
    async function look() {
      if (!video.current) return;
      try {
        const said = await scanCode(video.current, stop.signal);
        if (said === null || stop.signal.aborted) return;
        const place = placeOfCode(said);
        if (place) await navigate(place, { replace: true });
        else setTrouble('That code is not a tag of yours. Hold the tag of a hive before the camera.');
      } catch (error) {
        if (!stop.signal.aborted) setTrouble(inWords(error));
      }
    }
    void look();
    return () => stop.abort();
  }, [navigate, round]);
  return (
    <Box maxW="34rem">
      <PageHeader title="Scan a hive tag" aside="Hold the code before the camera. No picture is kept." />
      <div className={styles.frame}>
        <video ref={video} muted playsInline aria-label="What the camera sees" className={styles.video} />
      </div>
      {trouble !== null && (
        <Box role="alert" mt={3}>
          <Text mb={3}>{trouble}</Text>
          <Button
            minH="56px"
            onClick={() => {
              setTrouble(null);
              setRound(round + 1);
            }}
          >
            Try again
          </Button>
        </Box>
      )}
      <Text mt={4} color="inkSoft">
        No code to read? <Link to="/yard">Pick the hive in the yard.</Link>
      </Text>
    </Box>
  );
}

/** Why there is no picture, and what to do. */
function inWords(error: unknown): string {
  const name = error instanceof DOMException ? error.name : '';
  if (name === 'NotAllowedError')
    return 'The camera is not allowed here. Allow it for this page in the settings of the browser, then try again.';
  if (name === 'NotFoundError') return 'This device has no camera that the browser knows.';
  if (name === 'NotReadableError') return 'Another program uses the camera. Close it, then try again.';
  return 'The camera cannot be used here. Over the home network it needs the secure address: see People and devices.';
}
