package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.source.Fingerprint;

/** The shipped ledger with everything a clinic has changed in it, in the order of the changes. */
public final class ClinicLedger {

    private static final String WAITS = "waits for a second person";
    private static final String DECLINED = "a second person did not agree";

    private final Evidence shipped;
    private final Catalogue catalogue;
    private final Map<RecordId, Standing> standing = new LinkedHashMap<>();
    private EvidencePolicy policy = EvidencePolicy.USUAL;

    private ClinicLedger(Evidence shipped, Catalogue catalogue) {
        this.shipped = shipped;
        this.catalogue = catalogue;
    }

    /**
     * How a record stands after all changes.
     *
     * @param entered the clinic's own study or correction; empty where it is as shipped
     * @param basis fingerprint of the shipped record that was corrected; may be empty
     * @param withdrawn why it was withdrawn; empty where it was not
     * @param proposed what it is to say once a second person agrees; empty where nothing waits
     * @param declined what was last proposed and not agreed to; empty where nothing was
     */
    public record Standing(
            Optional<LedgerEntry> entered,
            String basis,
            Optional<String> withdrawn,
            Optional<Review> review,
            Optional<LedgerChange.Proposed> proposed,
            Optional<LedgerEntry> declined) {

        private static final Standing AS_SHIPPED = new Standing(
                Optional.empty(), "", Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        private Standing saying(LedgerChange.Says now) {
            return new Standing(Optional.of(now.entry()), now.basis(), withdrawn, review, Optional.empty(), declined);
        }

        private Standing with(Optional<String> withdrawal) {
            return new Standing(entered, basis, withdrawal, review, proposed, declined);
        }

        private Standing waiting(LedgerChange.Proposed now) {
            return new Standing(entered, basis, withdrawn, review, Optional.of(now), declined);
        }

        private Standing declining() {
            return new Standing(
                    entered,
                    basis,
                    withdrawn,
                    review,
                    Optional.empty(),
                    proposed.map(LedgerChange.Proposed::entry).or(() -> declined));
        }

        /** What a study says that never came into use: as it was proposed. */
        public Optional<LedgerEntry> offered() {
            return proposed.map(LedgerChange.Proposed::entry).or(() -> declined);
        }

        private Standing after(LedgerChange.OfRecord change) {
            if (change instanceof LedgerChange.Entered now) {
                return saying(now);
            }
            if (change instanceof LedgerChange.Agreed) {
                return proposed.map(this::saying).orElse(this);
            }
            if (change instanceof LedgerChange.Proposed now) {
                return waiting(now);
            }
            if (change instanceof LedgerChange.Declined) {
                return declining();
            }
            if (change instanceof LedgerChange.Withdrawn now) {
                return with(Optional.of(now.why()));
            }
            if (change instanceof LedgerChange.Restored) {
                return with(Optional.empty());
            }
            return change instanceof LedgerChange.Reviewed now
                    ? new Standing(entered, basis, withdrawn, Optional.of(now.review()), proposed, declined)
                    : new Standing(Optional.empty(), "", withdrawn, review, proposed, declined);
        }
    }

    /** @param changes in the order in which they were made */
    public static ClinicLedger of(Evidence shipped, Catalogue catalogue, List<LedgerChange> changes) {
        return new ClinicLedger(shipped, catalogue).and(changes);
    }

    /** The same ledger with more changes, in the order in which they were made. */
    public ClinicLedger and(List<? extends LedgerChange> changes) {
        ClinicLedger ledger = new ClinicLedger(shipped, catalogue);
        ledger.standing.putAll(standing);
        ledger.policy = policy;
        changes.forEach(ledger::take);
        return ledger;
    }

    private void take(LedgerChange change) {
        if (change instanceof LedgerChange.Policy now) {
            policy = now.policy();
        } else if (change instanceof LedgerChange.OfRecord about) {
            standing.merge(about.record(), Standing.AS_SHIPPED.after(about), (known, first) -> known.after(about));
        }
    }

    /** How studies are put together. */
    public EvidencePolicy policy() {
        return policy;
    }

    /** How a record stands; as shipped where nobody has changed it. */
    public Standing standing(RecordId id) {
        return standing.getOrDefault(id, Standing.AS_SHIPPED);
    }

    /**
     * What the record says, by the clinic or as shipped; a study that a second person has not agreed to, what was
     * proposed; empty where there is none.
     */
    public Optional<LedgerEntry> entry(RecordId id) {
        Standing now = standing(id);
        return now.entered()
                .or(() -> shipped.entry(id))
                .or(() -> now.offered().map(entry -> entry.unused(now.proposed().isPresent() ? WAITS : DECLINED)));
    }

    /** Records of which something waits for a second person, in the order in which they were first changed. */
    public List<RecordId> waiting() {
        return standing.entrySet().stream()
                .filter(each -> each.getValue().proposed().isPresent())
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Short name of what a record says now; empty where there is none. */
    public String fingerprint(RecordId id) {
        return entry(id).map(ClinicLedger::fingerprint).orElse("");
    }

    /** Short name of what the shipped record says; empty for a study of the clinic's own. */
    public String shippedFingerprint(RecordId id) {
        return shipped.entry(id).map(ClinicLedger::fingerprint).orElse("");
    }

    private static String fingerprint(LedgerEntry entry) {
        return Fingerprint.of(List.of(entry.content()));
    }

    /** Studies of the clinic's own, and records that it has corrected or is to correct. */
    public Set<RecordId> enteredHere() {
        return standing.entrySet().stream()
                .filter(each -> each.getValue().entered().isPresent()
                        || each.getValue().offered().isPresent())
                .map(Map.Entry::getKey)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Corrected records of which the product has since shipped another version. */
    public Set<RecordId> conflicts() {
        Set<RecordId> found = new TreeSet<>((one, other) -> one.value().compareTo(other.value()));
        standing.forEach((id, now) -> {
            if (now.entered().isPresent() && !now.basis().equals(shippedFingerprint(id))) {
                found.add(id);
            }
        });
        return found;
    }

    /**
     * What is weighed by. A record that was withdrawn or found wrong is kept and not used; so is one that speaks for
     * something the product no longer reads.
     */
    public Evidence evidence() {
        List<LedgerEntry> revised = new ArrayList<>();
        standing.forEach((id, now) -> entry(id).ifPresent(entry -> revised.add(inForce(entry, now))));
        return shipped.revised(revised).by(policy);
    }

    private LedgerEntry inForce(LedgerEntry entry, Standing now) {
        String content = fingerprint(entry);
        LedgerEntry reviewed = now.review()
                .map(review -> entry.reviewed(review.state(content)))
                .orElse(entry);
        if (now.withdrawn().isPresent()) {
            return reviewed.unused("withdrawn here: " + now.withdrawn().get());
        }
        if (now.review()
                .filter(review ->
                        review.verdict() == Review.Verdict.WRONG && review.of().equals(content))
                .isPresent()) {
            return reviewed.unused("found wrong on review here");
        }
        return new TieRules(catalogue)
                .fault(entry)
                .map(fault -> reviewed.unused("no longer fits what the product reads: " + fault.says()))
                .orElse(reviewed);
    }
}
