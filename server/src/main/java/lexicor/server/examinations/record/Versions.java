package lexicor.server.examinations.record;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * The signed versions of an examination and why it was opened again, both from the first on.
 *
 * @param signed never more than one of a version
 * @param amendments each leads to the version of its number
 */
public record Versions(List<SignatureRow> signed, List<AmendmentRow> amendments) {

    static final Versions NONE = new Versions(List.of(), List.of());

    public Versions {
        signed = List.copyOf(signed);
        amendments = List.copyOf(amendments);
    }

    /** Those of several examinations, by examination. */
    static Map<UUID, Versions> of(Collection<UUID> examinations, Signatures signatures, Amendments amendments) {
        Map<UUID, Versions> versions = new LinkedHashMap<>();
        List<SignatureRow> signed = signatures.findByExaminationInOrderByVersion(examinations);
        List<AmendmentRow> opened =
                signed.isEmpty() ? List.of() : amendments.findByExaminationInOrderByVersion(examinations);
        examinations.forEach(id -> versions.put(
                id,
                new Versions(
                        signed.stream()
                                .filter(row -> row.examination().equals(id))
                                .toList(),
                        opened.stream()
                                .filter(row -> row.examination().equals(id))
                                .toList())));
        return versions;
    }

    /** Every signature and every amendment, in no order. */
    public Stream<VersionStep> steps() {
        return Stream.concat(signed.stream(), amendments.stream());
    }

    public Optional<SignatureRow> last() {
        return signed.isEmpty() ? Optional.empty() : Optional.of(signed.get(signed.size() - 1));
    }

    /** Number of the version that signing would make. */
    public int next() {
        return signed.size() + 1;
    }

    /** Why a version was made after an earlier one; empty for the first. */
    public Optional<AmendmentRow> opening(int version) {
        return amendments.stream().filter(row -> row.version() == version).findFirst();
    }

    /** Signed, and not opened again since. */
    public boolean closed() {
        return !signed.isEmpty() && opening(next()).isEmpty();
    }
}
