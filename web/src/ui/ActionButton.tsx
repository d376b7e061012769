import { chakra, defineRecipe } from '@chakra-ui/react';
import { Link } from 'react-router';

const action = defineRecipe({
  base: {
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    gap: '2',
    cursor: 'pointer',
    borderRadius: 'small',
    minH: 'touch',
    color: 'ink',
    _disabled: { opacity: 0.45, cursor: 'not-allowed' },
  },
  variants: {
    look: {
      main: {
        bg: 'ink',
        color: 'paper',
        fontFamily: 'heading',
        fontSize: 'large',
        px: '7',
        py: '3',
        // What is left of the button where the system's colours take its ground away.
        borderWidth: '1px',
        borderStyle: 'solid',
        borderColor: 'ink',
      },
      line: { borderWidth: '1px', borderStyle: 'solid', borderColor: 'edge', px: '4', py: '1' },
      plain: {
        px: '1',
        textDecoration: 'underline',
        textUnderlineOffset: '4px',
        textDecorationColor: 'brass',
      },
    },
  },
  defaultVariants: { look: 'line' },
});

/** A thing to do. `main` once per screen at most. */
export const ActionButton = chakra('button', action, { defaultProps: { type: 'button' } });
/** A place to go that looks like a thing to do. */
export const ActionLink = chakra(Link, action);
