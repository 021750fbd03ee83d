package lexicor.core.evidence;

import java.util.Map;

/**
 * A record compared with its original by a person.
 *
 * @param of fingerprint of the content that was looked at, so that a later change shows
 * @param words what else there is to say; may be empty
 * @param quality how far the study can be trusted, by domain; domains that nobody judged are absent
 */
public record Review(Verdict verdict, String of, String words, Map<Domain, Judgement> quality) {

    /** What the comparison came to. */
    public enum Verdict {
        /** As published. */
        CHECKED("checked"),
        /** Doubtful; it goes on weighing. */
        DISPUTED("disputed"),
        /** Not what was published; it weighs nothing until it is corrected. */
        WRONG("found wrong");

        private final String plainly;

        Verdict(String plainly) {
            this.plainly = plainly;
        }

        public String plainly() {
            return plainly;
        }
    }

    /** What can bias a study of accuracy (the four domains of QUADAS-2, Whiting et al., Ann Intern Med 2011). */
    public enum Domain {
        PATIENTS,
        TEST,
        REFERENCE,
        FLOW
    }

    /** How likely a bias is. */
    public enum Risk {
        LOW,
        UNCLEAR,
        HIGH
    }

    /**
     * The judgement of one domain.
     *
     * @param applies how far it is from the patients, the way of testing or the target met here; {@code LOW} is near.
     *     Flow has none and is {@code UNCLEAR}
     * @param because in words; may be empty
     */
    public record Judgement(Risk bias, Risk applies, String because) {}

    public Review {
        quality = Map.copyOf(quality);
    }

    /** In a word or two, for content as it is now. */
    String state(String content) {
        return of.equals(content) ? verdict.plainly() : "changed since it was " + verdict.plainly();
    }
}
