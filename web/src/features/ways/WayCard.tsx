import { Explained } from '../../drawing/Explained.tsx';
import { Box, Button, Flex, Heading, Text } from '@chakra-ui/react';
import type { RankedMethod } from '@incremen/core/split';
import { Check, Minus } from 'lucide-react';
import { Link } from 'react-router';
import { WaySketch } from '../../drawing/WaySketch.tsx';
import common from '../../ui/common.module.css';

/** One way to make increase: how hives stand afterwards, what speaks for it and against it, and the way to plan it. */
export function WayCard({
  ranked: { method, fit },
  colonyId,
  known,
  isBest,
  isOpening,
  onPlan,
}: {
  readonly ranked: RankedMethod;
  readonly colonyId: string;
  /** Reasons that were read at another way already. */
  readonly known: RankedMethod['fit']['reasons'];
  readonly isBest: boolean;
  /** Its plan is asked for, and still being worked out. */
  readonly isOpening: boolean;
  readonly onPlan: () => void;
}) {
  const own = fit.reasons.filter((r) => !known.some((k) => k.text === r.text));
  return (
    <Flex
      as="li"
      gap={4}
      direction={{ base: 'column', md: 'row' }}
      bg="sheet"
      borderWidth="1px"
      borderColor={isBest ? 'accent' : 'line'}
      borderRadius="lg"
      p={4}
    >
      <Box w={{ md: '190px' }} flex="none" color="ink">
        <WaySketch id={method.id} scale={isBest ? 1.5 : 1.2} />
      </Box>
      <Box flex="1" minW={0}>
        <Heading as="h3" fontSize={isBest ? '1.3rem' : '1.1rem'}>
          {method.name}
        </Heading>
        <Text color="inkSoft" mb={2}>
          {method.aim}
        </Text>
        <Box as="ul" listStyleType="none" display="grid" gap={1} fontSize="sm">
          {own.map((r) => (
            <Flex as="li" key={r.text} gap={2} align="flex-start">
              <Box color={r.speaksFor ? 'accent' : 'inkSoft'} pt="3px" flex="none">
                {r.speaksFor ? (
                  <Check size={16} aria-label="For it" />
                ) : (
                  <Minus size={16} aria-label="Against it" />
                )}
              </Box>
              <Text>
                <Explained>{r.text}</Explained>
              </Text>
            </Flex>
          ))}
        </Box>
        <Box as="details" mt={2} fontSize="sm">
          <summary className={common.summary}>Season, needs, who gets what, what can go wrong</summary>
          <Box as="dl" display="grid" gap={2} pt={1}>
            <Fact name="Season">{method.season}</Fact>
            <Fact name="Needs">{method.needs}</Fact>
            <Fact name="Who gets what">{method.shares}</Fact>
            <Fact name="Not needed">{method.skips}</Fact>
            {method.goesWrong.map((g) => (
              <Fact key={g.what} name={g.what}>
                {g.wayOut}
              </Fact>
            ))}
          </Box>
        </Box>
      </Box>
      <Flex direction="column" gap={2} flex="none" alignSelf={{ base: 'stretch', md: 'flex-start' }}>
        <Button
          minH="48px"
          variant={isBest ? 'solid' : 'outline'}
          loading={isOpening}
          onClick={onPlan}
          aria-label={`Plan: ${method.name}`}
        >
          Plan it
        </Button>
        {CALLED.includes(method.id) && (
          <Button asChild minH="48px" variant="outline" bg="sheet">
            <Link to={`/callout?from=${colonyId}`}>Call it out</Link>
          </Button>
        )}
      </Flex>
    </Flex>
  );
}

/** Ways that are also worked without a plan: frames are called and placed as they come. */
const CALLED: readonly string[] = ['break-up', 'assembly-line'];

function Fact({ name, children }: { readonly name: string; readonly children: string }) {
  return (
    <div>
      <Text as="dt" fontWeight="700">
        {name}
      </Text>
      <Text as="dd" color="inkSoft">
        <Explained>{children}</Explained>
      </Text>
    </div>
  );
}
