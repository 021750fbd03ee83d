package lexicor.core.catalogue;

import java.util.List;

/**
 * How wrist and hand are held at a test's decisive moment, from which their figure is drawn. Angles in degrees.
 *
 * @param view where it is seen from
 * @param wrist flexion, towards the palm positive, -90 to 90; drawn from the side
 * @param deviation towards the thumb positive, -45 to 30; drawn from back and palm
 * @param fingers how the fingers are held
 * @param thumb how the thumb is held
 * @param forces what is pressed, pushed or turned
 * @param held what you steady
 */
public record HandPose(
        View view, double wrist, double deviation, Fingers fingers, Thumb thumb, List<Force> forces, List<Mark> held) {

    public HandPose {
        forces = List.copyOf(forces);
        held = List.copyOf(held);
    }

    /** From the thumb side with the back of the hand up, from the back, or from the palm. */
    public enum View {
        SIDE,
        BACK,
        PALM
    }

    /** How the fingers are held. */
    public enum Fingers {
        STRAIGHT,
        FIST
    }

    /** How the thumb is held. */
    public enum Thumb {
        RESTING,
        OUT,
        IN
    }

    /** A place on forearm, wrist or hand. */
    public enum Mark {
        FOREARM,
        RADIUS,
        ULNA,
        SCAPHOID,
        LUNATE,
        TRIQUETRUM,
        PISIFORM,
        HAMATE,
        SOFT_SPOT,
        TUNNEL,
        HAND,
        METACARPAL,
        THUMB,
        FINGERS
    }

    /**
     * Which way: in the hand's own directions, along the thumb, a press or taps with the finger, or a turn of the
     * forearm.
     */
    public enum Direction {
        TO_PALM,
        TO_BACK,
        TO_THUMB_SIDE,
        TO_LITTLE_SIDE,
        TO_ELBOW,
        AWAY,
        ALONG_THUMB,
        PRESS,
        TAP,
        TURN
    }

    /** A push, press or turn at a place; {@code patient} says that the patient does it. */
    public record Force(Mark at, Direction direction, boolean patient) {}
}
