package lexicor.core.planning;

/** Why a test is in a plan. */
public enum Why {
    /** It belongs to every examination of an arm. */
    SAFETY,
    /** A measure that provoking would spoil. */
    MEASURE,
    /** By figures it tells most, for its time, about a serious condition in play. */
    SERIOUS,
    /** By figures it tells more than any other in the time. */
    INFORMATION,
    /** By figures it speaks of a condition in play that nothing else in the plan speaks of. */
    SPREAD,
    /** It is part of how a condition in play is defined. */
    DEFINITION,
    /** It belongs to the picture of a condition that has no figures. */
    PICTURE,
    /** The therapist put it in. */
    BY_HAND
}
