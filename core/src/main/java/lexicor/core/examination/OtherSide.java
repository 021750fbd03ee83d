package lexicor.core.examination;

/** Whether the other side can serve as the patient's own normal. */
public enum OtherSide {
    WELL,
    /** Both sides are affected, so that comparing them says nothing. */
    INVOLVED
}
