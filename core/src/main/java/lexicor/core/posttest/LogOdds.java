package lexicor.core.posttest;

/** A chance on the scale on which evidence adds up: the natural logarithm of the odds. */
public record LogOdds(double value) {

    /**
     * @param chance strictly between 0 and 1
     * @throws IllegalArgumentException otherwise
     */
    public static LogOdds ofChance(double chance) {
        if (!(chance > 0 && chance < 1)) {
            throw new IllegalArgumentException(
                    "prior is " + chance + "; allowed: between 0 and 1, not 0 or 1 themselves");
        }
        return new LogOdds(Math.log(chance) - Math.log1p(-chance));
    }

    /** odds(after) = odds(before) x likelihood ratio. */
    public LogOdds times(double likelihoodRatio) {
        return new LogOdds(value + Math.log(likelihoodRatio));
    }

    /** The chance, 0..1, computed without loss at either end. */
    public double chance() {
        return chance(value);
    }

    public static double chance(double logOdds) {
        return logOdds >= 0 ? 1 / (1 + Math.exp(-logOdds)) : Math.exp(logOdds) / (1 + Math.exp(logOdds));
    }
}
