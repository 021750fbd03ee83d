package lexicor.core.catalogue;

/**
 * Where a landmark lies on a drawing of the right side; the left is its mirror image.
 *
 * @param view the drawing
 * @param zone the part of the walk that it belongs to, as it is named
 * @param x hundredths of the drawing's width from its left edge
 * @param y hundredths of its height from its upper edge
 */
public record DrawnPlace(View view, String zone, double x, double y) {

    /** A drawing that landmarks lie on. */
    public enum View {
        BACK,
        PALM,
        ELBOW_OUTER,
        ELBOW_INNER,
        SHOULDER
    }
}
