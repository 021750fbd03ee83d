package lexicor.core.catalogue;

/**
 * How far a test takes the upper arm. Angles in degrees, as in {@link Pose}.
 *
 * @param elevation from hanging, -60 to 180
 * @param plane of elevation: 0 out to the side, 90 straight forward
 * @param rotation outwards positive
 */
public record Reach(double elevation, double plane, double rotation) {

    static Reach of(Pose pose) {
        return new Reach(pose.elevation(), pose.plane(), pose.rotation());
    }
}
