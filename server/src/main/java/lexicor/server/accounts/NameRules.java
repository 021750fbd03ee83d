package lexicor.server.accounts;

import com.ibm.icu.text.SpoofChecker;
import java.text.Normalizer;
import java.util.Collection;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import lexicor.server.audit.CurrentUser;

/** Which names a person may have, so that nobody can be taken for the server or for a colleague. */
final class NameRules {

    private static final Set<String> RESERVED = Set.of(CurrentUser.SERVER, "system", "lexicor", "nobody", "anonymous");

    private static final SpoofChecker LOOKS =
            new SpoofChecker.Builder().setChecks(SpoofChecker.CONFUSABLE).build();

    private NameRules() {}

    /** A display name as it is kept: one form of every character, one space between words. */
    static String tidied(String displayName) {
        return Normalizer.normalize(displayName, Normalizer.Form.NFKC)
                .replaceAll("\\s+", " ")
                .strip();
    }

    /** Why a sign-in name cannot be had; empty where it can. */
    static Optional<String> fault(String name) {
        return RESERVED.contains(name)
                ? Optional.of("'" + name + "' is what the record calls the server itself; allowed: another name")
                : Optional.empty();
    }

    /**
     * Why a display name cannot be had; empty where it can.
     *
     * @param tidied as of {@link #tidied}
     * @param others sign-in and display names of all others
     */
    static Optional<String> displayFault(String tidied, Collection<String> others) {
        if (tidied.isEmpty() || tidied.codePoints().anyMatch(NameRules::unseen)) {
            return Optional.of("allowed: 1 to 80 characters that can be seen");
        }
        String looks = looks(tidied);
        if (RESERVED.stream().anyMatch(reserved -> looks(reserved).equals(looks))) {
            return Optional.of("looks like the server's own name; allowed: another name");
        }
        return others.stream()
                .filter(other -> looks(other).equals(looks))
                .findFirst()
                .map(other -> "looks like '" + other
                        + "', who has an account already; allowed: a name that tells the two apart");
    }

    private static boolean unseen(int character) {
        int kind = Character.getType(character);
        return kind == Character.CONTROL
                || kind == Character.FORMAT
                || kind == Character.SURROGATE
                || kind == Character.UNASSIGNED
                || kind == Character.PRIVATE_USE
                || kind == Character.LINE_SEPARATOR
                || kind == Character.PARAGRAPH_SEPARATOR;
    }

    /** What a name looks like, whatever the case, script or spaces it is written with (Unicode TS 39). */
    private static String looks(String name) {
        return LOOKS.getSkeleton(name.toLowerCase(Locale.ROOT).replace(" ", ""));
    }
}
