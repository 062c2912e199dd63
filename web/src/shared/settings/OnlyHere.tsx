import { Text } from '@chakra-ui/react';
import { Link } from 'react-router';
import common from '../../ui/common.module.css';

/** Says that a code or link opens nowhere but on this machine, and where that is changed. */
export function OnlyHere() {
  return (
    <Text color="near" className={common.noPrint} maxW="40rem">
      These codes open on this machine only. For a phone, open the home network under{' '}
      <Link to="/people" className={common.inlineLink}>
        People and devices
      </Link>
      .
    </Text>
  );
}
