package lexicor.server.examinations.record;

import java.util.List;

/** Two examiners of one patient see nothing of each other until both have signed. */
public final class Blinding {

    private Blinding() {}

    /**
     * Whether a person's own visit hides another of the same complaint: it is of the same day, by somebody else, was
     * not begun as its follow-up, and is not signed.
     *
     * @param person sign-in name
     */
    private static boolean hides(Recorded own, Recorded other, String person) {
        ExaminationRow mine = own.row();
        ExaminationRow theirs = other.row();
        return mine.episode().getId().equals(theirs.episode().getId())
                && mine.author().equals(person)
                && !theirs.author().equals(person)
                && mine.day().equals(theirs.day())
                && mine.follows().filter(theirs.getId()::equals).isEmpty()
                && theirs.follows().filter(mine.getId()::equals).isEmpty()
                && !own.versions().closed();
    }

    /**
     * Whether a visit is hidden from a person by one of their own among these.
     *
     * @param person sign-in name
     */
    public static boolean hidden(Recorded visit, List<Recorded> among, String person) {
        return among.stream().anyMatch(own -> hides(own, visit, person));
    }

    /**
     * Of the visits of a case those that a person may see now.
     *
     * @param person sign-in name
     */
    public static List<Recorded> seen(List<Recorded> visits, String person) {
        return visits.stream().filter(visit -> !hidden(visit, visits, person)).toList();
    }
}
