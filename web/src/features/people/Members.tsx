import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { API_PATHS } from '@incremen/contract';
import { dayInWords, type Problem } from '@incremen/core/basics';
import { X } from 'lucide-react';
import { QRCodeSVG } from 'qrcode.react';
import { useCallback, useEffect, useState } from 'react';
import { access, type Issued, type Member, type Pass, type Role } from '../../server/access.ts';
import { problemsOf } from '../../server/problemsOf.ts';
import { OnlyHere } from '../../shared/settings/OnlyHere.tsx';
import type { PhoneOrigin } from '../../shared/settings/usePhoneOrigin.ts';
import { SectionHeading } from '../../ui/SectionHeading.tsx';
import { Select } from '../../ui/Select.tsx';
import common from '../../ui/common.module.css';

const ROLES: readonly (readonly [Role, string])[] = [
  ['reader', 'may look at everything'],
  ['worker', 'may count and work'],
  ['owner', 'may do everything'],
];

const KINDS: Readonly<Record<Pass['kind'], string>> = {
  invitation: 'Invitation',
  helper: 'Code for a day',
  helping: 'Helps today',
  device: 'Device',
  calendar: 'Calendar',
};

/** Something that was just issued: its secret is shown this once. */
interface Shown {
  readonly what: 'invitation' | 'helper' | 'device' | 'calendar';
  readonly issued: Issued;
}

/** Members, what lets others in, and new ones of both. Only the owner sees it. */
export function Members({
  operationId,
  phone,
  onProblems,
}: {
  readonly operationId: string;
  readonly phone: PhoneOrigin;
  readonly onProblems: (problems: readonly Problem[]) => void;
}) {
  const [seen, setSeen] = useState<Awaited<ReturnType<typeof access.members>> | null>(null);
  const [mayNot, setMayNot] = useState(false);
  const [role, setRole] = useState<Role>('worker');
  const [shown, setShown] = useState<Shown | null>(null);
  const look = useCallback(() => {
    access.members(operationId).then(setSeen, () => setMayNot(true));
  }, [operationId]);
  useEffect(look, [look]);
  const attempt = (work: Promise<unknown>) =>
    void work.then(
      () => {
        onProblems([]);
        look();
      },
      (error: unknown) => onProblems(problemsOf(error)),
    );
  const issue = (what: Shown['what']) =>
    attempt(
      access
        .issue(
          operationId,
          what === 'invitation'
            ? { kind: what, role, label: '' }
            : {
                kind: what,
                label:
                  what === 'helper' ? 'In the yard' : what === 'device' ? 'Station or scale' : 'Calendar',
              },
        )
        .then((issued) => setShown({ what, issued })),
    );
  if (mayNot) return <Text color="inkSoft">Who else comes in is the owner’s to say.</Text>;
  if (!seen) return null;
  return (
    <>
      <Box as="section" aria-label="Members">
        <SectionHeading>Members</SectionHeading>
        <Box as="ul" listStyleType="none">
          {seen.members.map((m) => (
            <MemberRow
              key={m.id}
              member={m}
              onRole={(next) => attempt(access.setRole(operationId, m.id, next))}
            />
          ))}
        </Box>
        <Flex gap={3} wrap="wrap" align="flex-end" mt={4}>
          <Select
            label="The one invited"
            fit
            value={role}
            options={ROLES}
            onChange={(r) => setRole(r as Role)}
          />
          <Button minH="48px" onClick={() => issue('invitation')}>
            Invite somebody
          </Button>
          <Button minH="48px" variant="outline" bg="sheet" onClick={() => issue('helper')}>
            Code for a day in the yard
          </Button>
        </Flex>
      </Box>
      {shown && (shown.what === 'invitation' || shown.what === 'helper') && (
        <Invitation shown={shown} phone={phone} onDone={() => setShown(null)} />
      )}
      <Box as="section" aria-label="Devices and calendars">
        <SectionHeading>Devices and calendars</SectionHeading>
        <Text mb={3} maxW="40rem" color="inkSoft">
          A weather station or a scale sends with a token of its own; a calendar program reads what is due by
          an address of its own. Each can do that and nothing else, and is shut out with one tap.
        </Text>
        <Flex gap={3} wrap="wrap">
          <Button minH="48px" variant="outline" bg="sheet" onClick={() => issue('device')}>
            Token for a station or scale
          </Button>
          <Button minH="48px" variant="outline" bg="sheet" onClick={() => issue('calendar')}>
            Address for a calendar
          </Button>
        </Flex>
        {shown && (shown.what === 'device' || shown.what === 'calendar') && (
          <Box bg="sheet" borderWidth="1px" borderRadius="lg" p={4} mt={4}>
            <Text fontWeight="700">Shown this once</Text>
            <Text as="code" overflowWrap="anywhere" display="block" my={2}>
              {shown.what === 'device'
                ? `Authorization: Bearer ${shown.issued.secret}`
                : `${phone.origin}${API_PATHS.calendar(operationId)}?pass=${shown.issued.secret}`}
            </Text>
            {phone.onlyHere && <OnlyHere />}
          </Box>
        )}
      </Box>
      {seen.passes.length > 0 && (
        <Box as="section" aria-label="What lets somebody in">
          <SectionHeading>What lets somebody in</SectionHeading>
          <Box as="ul" listStyleType="none">
            {seen.passes.map((p) => (
              <Flex as="li" key={p.id} align="center" gap={3} borderTopWidth="1px" minH="48px">
                <Text flex="1">
                  {KINDS[p.kind]}
                  {p.label !== '' && `: ${p.label}`}
                  <Box as="span" color="inkSoft">
                    {p.expiresAt !== null
                      ? `, until ${dayInWords(p.expiresAt.slice(0, 10))}`
                      : p.seenAt !== null
                        ? `, last seen ${dayInWords(p.seenAt.slice(0, 10))}`
                        : ', not used yet'}
                  </Box>
                </Text>
                <button
                  type="button"
                  className={common.quietButton}
                  aria-label={`Shut out: ${KINDS[p.kind]} ${p.label}`}
                  onClick={() => attempt(access.revoke(operationId, p.id))}
                >
                  <X size={18} aria-hidden />
                </button>
              </Flex>
            ))}
          </Box>
        </Box>
      )}
    </>
  );
}

function MemberRow({
  member,
  onRole,
}: {
  readonly member: Member;
  readonly onRole: (role: Role | null) => void;
}) {
  return (
    <Flex as="li" align="center" gap={3} wrap="wrap" borderTopWidth="1px" minH="56px">
      <Text flex="1 1 8rem" fontWeight="700">
        {member.name}
      </Text>
      <Select
        label={`What ${member.name} may do`}
        fit
        value={member.role}
        options={ROLES}
        onChange={(r) => onRole(r as Role)}
      />
      <button
        type="button"
        className={common.quietButton}
        aria-label={`Remove ${member.name}`}
        onClick={() => onRole(null)}
      >
        <X size={18} aria-hidden />
      </button>
    </Flex>
  );
}

function Invitation({
  shown: { what, issued },
  phone,
  onDone,
}: {
  readonly shown: Shown;
  readonly phone: PhoneOrigin;
  readonly onDone: () => void;
}) {
  const link = `${phone.origin}/join?${what === 'helper' ? 'help' : 'code'}=${issued.secret}`;
  return (
    <Flex
      as="section"
      aria-label="To be handed over"
      gap={6}
      wrap="wrap"
      bg="sheet"
      borderWidth="1px"
      borderRadius="lg"
      p={4}
    >
      <Box bg="white" p={2} borderRadius="lg">
        <QRCodeSVG value={link} size={152} marginSize={1} level="M" title="Code to come in" />
      </Box>
      <Box flex="1 1 16rem" display="grid" gap={2} alignContent="start">
        {what === 'helper' ? (
          <>
            <Text>Read the code with a phone, or type it under “I have a code for today”:</Text>
            <Text fontSize="3xl" fontWeight="700" letterSpacing="0.12em" fontFamily="heading">
              {issued.secret}
            </Text>
            <Text color="inkSoft">Good for a day, for as many hands as you have.</Text>
          </>
        ) : (
          <>
            <Text>Read the code with a phone, or send this link. It serves once, within a week.</Text>
            <Text as="code" overflowWrap="anywhere">
              {link}
            </Text>
          </>
        )}
        {phone.onlyHere && <OnlyHere />}
        <Box>
          <Button variant="outline" bg="sheet" minH="44px" onClick={onDone}>
            Done
          </Button>
        </Box>
      </Box>
    </Flex>
  );
}
