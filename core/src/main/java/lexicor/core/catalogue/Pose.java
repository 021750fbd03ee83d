package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;

/**
 * The joint angles of a test's decisive moment, from which its figure is drawn. Angles in degrees.
 *
 * @param view where it is seen from
 * @param body how the patient is placed
 * @param elevation of the upper arm from hanging, -60 (behind) to 180
 * @param plane of elevation: 0 out to the side, 90 straight forward, up to 140 across the body
 * @param rotation of the upper arm, outwards positive: at 0 the bent forearm lies level
 * @param elbow flexion, 0 straight to 150
 * @param forearm turn of the forearm, palm up positive, -90 to 90
 * @param forces what the examiner does
 * @param held what the examiner steadies
 * @param arc the angle window that counts, where it can be drawn
 */
public record Pose(
        View view,
        Body body,
        double elevation,
        double plane,
        double rotation,
        double elbow,
        double forearm,
        List<Force> forces,
        List<Mark> held,
        Optional<Arc> arc) {

    public Pose {
        forces = List.copyOf(forces);
        held = List.copyOf(held);
    }

    /** The side from which the figure is seen. */
    public enum View {
        FRONT,
        SIDE,
        BACK,
        ABOVE
    }

    /** How the patient is placed. */
    public enum Body {
        STANDING,
        SITTING,
        SUPINE
    }

    /** A place on trunk or arm. */
    public enum Mark {
        SHOULDER_BLADE,
        SHOULDER_TOP,
        HUMERAL_HEAD,
        UPPER_ARM,
        ELBOW,
        FOREARM,
        WRIST,
        HAND
    }

    /** Which way a force goes: in the body's own directions, or a turn of the arm. */
    public enum Direction {
        UP,
        DOWN,
        FORWARD,
        BACK,
        OUT,
        IN,
        ALONG_ARM,
        TURN_OUT,
        TURN_IN
    }

    /** A push or turn at a place; {@code patient} says that the patient does it. */
    public record Force(Mark at, Direction direction, boolean patient) {}

    /** The window of an angle: of elevation or rotation. */
    public record Arc(Of of, double from, double to) {}

    /** The angle a window is about. */
    public enum Of {
        ELEVATION,
        ROTATION
    }
}
