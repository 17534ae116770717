import { PointerSensor, type PointerSensorProps, TouchSensor } from '@dnd-kit/core';
import { flushSync } from 'react-dom';

/**
 * A browser hands over the last move together with the release. What follows from that move is drawn before the end is
 * told, or a quick hand would put its thing down where the frame before had it.
 */
function upToTheEnd<P extends Pick<PointerSensorProps, 'onMove' | 'onEnd'>>(props: P): P {
  let move = () => {};
  return {
    ...props,
    onMove(place: Parameters<P['onMove']>[0]) {
      move = () => props.onMove(place);
      move();
    },
    onEnd() {
      flushSync(move);
      props.onEnd();
    },
  };
}

/** The way in for mouse and pen; a finger has one of its own. */
export class NearPointerSensor extends PointerSensor {
  constructor(props: PointerSensorProps) {
    super(upToTheEnd(props));
  }
  static override activators: typeof PointerSensor.activators = [
    {
      eventName: 'onPointerDown',
      handler(event, options) {
        return (
          event.nativeEvent.pointerType !== 'touch' && PointerSensor.activators[0]!.handler(event, options)
        );
      },
    },
  ];
}

/** The way in for a finger. */
export class FingerSensor extends TouchSensor {
  constructor(props: ConstructorParameters<typeof TouchSensor>[0]) {
    super(upToTheEnd(props));
  }
}
