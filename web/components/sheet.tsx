import { X } from 'lucide-react';
import { Button, Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { colour, font, radius, size, space, target } from '../theme/tokens';
import { commonWords } from '../words';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 10;
  display: grid;
  place-items: center;
  padding: ${space.m};
  background: color-mix(in srgb, ${colour.rangeBack} 62%, transparent);
`;

const Box = styled(Modal)`
  width: min(560px, 100%);
  max-height: 94vh;
  overflow: auto;
  background: ${colour.sheet};
  color: ${colour.iron};
  border-radius: ${radius.m};
  border-top: 8px solid ${colour.iron};
`;

const Inside = styled(Dialog)`
  padding: ${space.l};
  display: grid;
  gap: ${space.m};
  outline: none;
  > header {
    display: flex;
    justify-content: space-between;
    align-items: start;
    gap: ${space.m};
  }
  > header h2 {
    font-family: ${font.title};
    font-size: ${size.title};
  }
`;

const Close = styled(Button)`
  flex: none;
  width: ${target.anywhere};
  height: ${target.anywhere};
  border: 0;
  border-radius: ${radius.s};
  background: none;
  cursor: pointer;
  display: grid;
  place-items: center;
`;

/** A sheet laid over the page for one question; Escape or the cross puts it away. */
export function Sheet({
  title,
  isOpen,
  onClose,
  children,
}: {
  title: string;
  isOpen: boolean;
  onClose: () => void;
  children: React.ReactNode;
}) {
  return (
    <Veil isOpen={isOpen} onOpenChange={(open) => !open && onClose()} isDismissable>
      <Box>
        <Inside>
          <header>
            <Heading slot="title">{title}</Heading>
            <Close aria-label={commonWords.close} onPress={onClose}>
              <X aria-hidden />
            </Close>
          </header>
          {children}
        </Inside>
      </Box>
    </Veil>
  );
}
