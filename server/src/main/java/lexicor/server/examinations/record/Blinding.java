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
    public static boolean hides(Recorded own, Recorded other, String person) {
        ExaminationRow mine = own.row();
        ExaminationRow theirs = other.row();
        return mine.author().equals(person)
                && !theirs.author().equals(person)
                && mine.day().equals(theirs.day())
                && mine.follows().filter(theirs.getId()::equals).isEmpty()
                && theirs.follows().filter(mine.getId()::equals).isEmpty()
                && !own.versions().closed();
    }

    /**
     * Of the visits of a case those that a person may see now.
     *
     * @param person sign-in name
     */
    public static List<Recorded> seen(List<Recorded> visits, String person) {
        return visits.stream()
                .filter(visit -> visits.stream()
                        .noneMatch(own -> own.row()
                                        .episode()
                                        .getId()
                                        .equals(visit.row().episode().getId())
                                && hides(own, visit, person)))
                .toList();
    }
}
