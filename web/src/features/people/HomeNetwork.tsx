import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { AccessAnswer } from '@incremen/contract';
import { QRCodeSVG } from 'qrcode.react';
import { SectionHeading } from '../../ui/SectionHeading.tsx';

/** The way in for a phone: what opening it means, and the code that a phone reads. */
export function HomeNetwork({
  me,
  onSet,
}: {
  readonly me: AccessAnswer;
  readonly onSet: (open: boolean) => void;
}) {
  const [pairing] = me.pairing;
  return (
    <Box as="section" aria-label="Home network">
      <SectionHeading>Home network</SectionHeading>
      {me.lan && pairing !== undefined ? (
        <Flex gap={6} wrap="wrap" align="flex-start">
          <Box bg="white" p={2} borderRadius="lg" borderWidth="1px">
            <QRCodeSVG value={pairing} size={168} marginSize={1} level="M" title="Code for a phone" />
          </Box>
          <Box flex="1 1 18rem" display="grid" gap={3}>
            <Text fontSize="lg">
              <b>Open.</b> Read the code with the camera of a phone in the same network. It shows once how to
              trust this server; then sign in and install it.
            </Text>
            <Box as="ul" listStyleType="none">
              {me.addresses.map((a) => (
                <li key={a}>
                  <code>{a}</code>
                </li>
              ))}
            </Box>
            <Box>
              <Button variant="outline" bg="sheet" minH="48px" onClick={() => onSet(false)}>
                Shut it again
              </Button>
            </Box>
          </Box>
        </Flex>
      ) : (
        <>
          <Text mb={3} maxW="40rem">
            Shut: Incremen answers on this machine only. Opened, every device in your home network reaches its
            sign-in over an encrypted connection, and nobody comes in without an account or a code.
          </Text>
          <Button minH="48px" onClick={() => onSet(true)}>
            Open the home network
          </Button>
        </>
      )}
    </Box>
  );
}
