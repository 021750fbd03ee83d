package lexicor.core.conclusion;

import java.util.ArrayList;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.History;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.SafetyScreen;
import lexicor.core.lookup.Keyed;

/**
 * Why an examination cannot be signed yet.
 *
 * @param kind what stands in the way
 * @param test the test it concerns; empty where it concerns none
 * @param what what stands in the way, in words
 * @param then what to do about it, in words
 */
public record SigningBlocker(Kind kind, String test, String what, String then) {

    /** What can stand in the way. */
    public enum Kind {
        /** A red flag is present and nobody released it. */
        FLAG_PRESENT,
        /** Not every red flag was asked. */
        FLAGS_NOT_ASKED,
        /** A test is recorded that is locked, and nobody said why it was done all the same. */
        DONE_UNDER_LOCK,
        /** Neither a working diagnosis nor "still open". */
        NOT_CONCLUDED
    }

    /** Everything that stands in the way, what matters most for safety first; empty where it can be signed. */
    public static List<SigningBlocker> of(
            IntakeState told, History history, Conclusion conclusion, Catalogue catalogue) {
        List<SigningBlocker> found = new ArrayList<>();
        SafetyScreen screen = told.screen();
        if (screen.state() == SafetyScreen.State.SUSPENDED) {
            screen.present().stream()
                    .filter(flag -> !screen.releases().containsKey(flag.id()))
                    .forEach(flag -> found.add(new SigningBlocker(
                            Kind.FLAG_PRESENT,
                            "",
                            "Red flag: " + flag.sign(),
                            "Act on it and release it with your reason, in the intake.")));
        } else if (screen.state() == SafetyScreen.State.NOT_YET_ASKED) {
            found.add(new SigningBlocker(
                    Kind.FLAGS_NOT_ASKED, "", "Red flags not all asked", "Ask them, in the intake."));
        }
        for (TestId test : history.tests()) {
            if (told.closed(test) && done(test, history)) {
                ExaminationTest known = catalogue.test(test);
                found.add(new SigningBlocker(
                        Kind.DONE_UNDER_LOCK,
                        test.value(),
                        known.name() + " was done and is locked: "
                                + Keyed.at(told.locked(), test).get(0).why(),
                        "Say at the bench why it was done all the same, or take it back."));
            }
        }
        if (!conclusion.named() && !conclusion.open()) {
            found.add(new SigningBlocker(
                    Kind.NOT_CONCLUDED, "", "No working diagnosis", "Name one, or say that it is still open."));
        }
        return found;
    }

    private static boolean done(TestId test, History history) {
        return history.attempts().stream()
                .filter(attempt -> attempt.test().equals(test))
                .anyMatch(attempt -> !attempt.leftOut());
    }
}
