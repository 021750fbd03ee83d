package lexicor.server.notes;

import java.util.Arrays;
import java.util.Optional;

/** What a template can hold: a name in braces, and what stands there in its place. */
public enum NoteBlock {
    SIDE("side", "Left or right", "right"),
    REGION("region", "The joint", "shoulder"),
    DAY("day", "The day of the examination", "4 May 2026"),
    CASE(
            "case",
            "Case code, year of birth, occupation, setting",
            "Case XX-01, born 1979, bookbinder, first-contact clinic"),
    THERAPIST("therapist", "Who examined", "N. Example"),
    DRAFT("draft", "That it is not signed yet; nothing once it is", "Draft, not signed."),
    TOLD("told", "The story, line by line", "- Where: outer arm\n- Pain now: 4 of 10"),
    SAFETY("safety", "Red flags, locks, and what was done against them", "- Red flags asked: none"),
    POSITIVE("positive", "Positive tests by name", "painful arc; empty can"),
    NEGATIVE(
            "negative", "Negative tests that matter by name, the others counted", "drop arm; cross-body; and 6 others"),
    UNREAD("unread", "Tests that could not be interpreted", "belly press"),
    FINDINGS(
            "findings",
            "Every finding in full, line by line",
            "- Painful arc, right: familiar pain, worst 90°; left: no pain\n- Not done: sulcus"),
    LEADERS(
            "leaders",
            "The first conditions, by figures and by picture",
            "- First condition: before 30, now 62 in 100 (could be 41 to 79)"),
    STANDS(
            "stands",
            "Sets, every weighed condition, every picture",
            "- Set of three: 2 of 2 positive, not yet decided\n- First condition: before 30, now 62 in 100 (could be 41 to 79)"),
    PATHWAYS("pathways", "Pathways that were followed", "- Wrist, thumb side: no; ends: thumb base"),
    AGAIN("again", "Measures beside the visit before", "- Range of motion, flexion: 110° then, 140° now: better"),
    CONCLUSION(
            "conclusion",
            "The therapist's conclusion, line by line",
            "- Working diagnosis: first condition, likely (60 in 100 by the therapist)\n- Advice: keep it moving"),
    EVERYDAY(
            "everyday",
            "The conclusion in words that a patient knows",
            "It is likely a tear in a tendon. It could also be a worn joint."),
    NEXT("next", "What was decided to do next, line by line", "- Ultrasound (soon)"),
    ADVICE("advice", "The advice given", "Keep it moving"),
    SEEN_AGAIN("seen-again", "The day of the next visit; nothing where none is set", "4 June 2026"),
    EVERYDAY_CAUTION(
            "everyday-caution",
            "What the conclusion is worth, in words that a patient knows",
            "Tests with the hands can be wrong."),
    CAUTION(
            "caution",
            "What the figures are worth; every note has it, or what the conclusion is worth in everyday words",
            "Decision support: the conclusion is the therapist's."),
    SIGNED(
            "signed",
            "Who signed when, and which version; nothing before",
            "Signed by N. Example on 4 May 2026, version 1.");

    private final String id;
    private final String says;
    private final String example;

    NoteBlock(String id, String says, String example) {
        this.id = id;
        this.says = says;
        this.example = example;
    }

    /** The name that stands in braces. */
    public String id() {
        return id;
    }

    /** What it stands for. */
    public String says() {
        return says;
    }

    /** An invented example of it. */
    public String example() {
        return example;
    }

    /** Empty where no block has the name. */
    public static Optional<NoteBlock> of(String id) {
        return Arrays.stream(values()).filter(block -> block.id.equals(id)).findFirst();
    }
}
