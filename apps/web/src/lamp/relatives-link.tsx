import { hexOfRgb8 } from '@mint-lamp/core/color/write';
import type { Painted } from '@mint-lamp/core/system/painted';
import { memo } from 'react';
import { useNavigate } from 'react-router';
import { addressOf } from '../addresses.ts';
import { useEditing } from '../store/editing.ts';
import { useDocumentPart, useProjectId } from '../store/selectors.ts';
import { Button } from '../ui/button.tsx';

/** Leads from a colour to its relatives. */
export const RelativesLink = memo(function RelativesLink({ painted }: { painted: Painted }) {
  const id = useProjectId();
  const { source } = useDocumentPart('relatives');
  const { edit } = useEditing();
  const navigate = useNavigate();
  const color = hexOfRgb8(painted.r, painted.g, painted.b);
  return (
    <Button
      small
      className="self-start"
      onClick={() => {
        if (source === color || edit({ type: 'setRelativesSource', color }))
          navigate(addressOf(id, 'gather', 'relatives'));
      }}
    >
      See its relatives
    </Button>
  );
});
