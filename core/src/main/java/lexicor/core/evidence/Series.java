package lexicor.core.evidence;

import lexicor.core.catalogue.CareSetting;

/** What kind of patients a study examined. */
public enum Series {
    SURGICAL("measured in surgical patients"),
    SPECIALIST("measured in a specialist clinic"),
    FIRST_CONTACT("measured at first contact"),
    UNSTATED("the kind of patients is not stated");

    private final String plainly;

    Series(String plainly) {
        this.plainly = plainly;
    }

    public String plainly() {
        return plainly;
    }

    /** Whether figures of this series need a caution when used in the setting. */
    public boolean cautionIn(CareSetting setting) {
        return setting == CareSetting.FIRST_CONTACT && (this == SURGICAL || this == SPECIALIST);
    }
}
