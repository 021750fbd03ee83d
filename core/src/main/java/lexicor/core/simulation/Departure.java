package lexicor.core.simulation;

/**
 * How simulated patients differ from what the weighing assumes.
 *
 * @param association latent correlation between conditions of different families, 0 to 0.9
 * @param moreAlike added to the latent correlation of the findings of every group, -0.9 to 0.9; what comes out is kept
 *     within 0 and 0.95
 * @param shift standard deviation by which the share of positives of each observation lies elsewhere in this clinic, on
 *     the logit, 0 to 3
 * @param blunting share of the separation between people with and without a condition that is lost, 0 to 0.9
 */
public record Departure(double association, double moreAlike, double shift, double blunting) {

    /** Patients as the weighing assumes them. */
    public static final Departure NONE = new Departure(0, 0, 0, 0);

    public Departure {
        require("association", association, 0, 0.9);
        require("moreAlike", moreAlike, -0.9, 0.9);
        require("shift", shift, 0, 3);
        require("blunting", blunting, 0, 0.9);
    }

    private static void require(String name, double value, double least, double most) {
        if (!(value >= least && value <= most)) {
            throw new IllegalArgumentException(name + " is " + value + "; allowed: " + least + " to " + most);
        }
    }

    /** The correlation of a group among these patients, where {@code rho} is assumed. */
    double correlation(double rho) {
        return Math.max(0, Math.min(0.95, rho + moreAlike));
    }
}
