package lexicor.server.library;

import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.evidence.Funnel;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.RecordUse;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.evidence.RecordStandings;
import lexicor.server.problems.NotFound;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.PageRequest;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The ledger of accuracy records, to read. */
@RestController
@RequestMapping("/api/library/records")
class LedgerController {

    private static final int PAGE = 40;

    private final LedgerRows rows;
    private final RecordStandings standings;
    private final LivingEvidence living;
    private final ReviewList reviews;

    LedgerController(LedgerRows rows, RecordStandings standings, LivingEvidence living, ReviewList reviews) {
        this.rows = rows;
        this.standings = standings;
        this.living = living;
        this.reviews = reviews;
    }

    /**
     * A page of 40 records whose text holds the searched words in this order.
     *
     * @param review only those left to review, or only those checked; absent for all
     * @param here only those that were entered or corrected here
     */
    @GetMapping
    RecordJson.Page find(
            @RequestParam(defaultValue = "") @Size(max = 200, message = "allowed: at most 200 letters") String search,
            @RequestParam(required = false) RecordUse.Use use,
            @RequestParam(defaultValue = "") @Pattern(regexp = "|left|checked", message = "allowed: left, checked")
                    String review,
            @RequestParam(defaultValue = "false") boolean here,
            @RequestParam(defaultValue = "") String subject,
            @RequestParam(defaultValue = "") String condition,
            @RequestParam(defaultValue = "0")
                    @Min(value = 0, message = "allowed: 0 to 1000")
                    @Max(value = 1000, message = "allowed: 0 to 1000")
                    int page) {
        Page<LedgerRow> found = rows.find(
                use,
                review,
                here,
                here ? standings.enteredHere() : List.of(),
                subject,
                condition,
                like(search),
                PageRequest.of(page, PAGE));
        return new RecordJson.Page(
                found.stream().map(LedgerRow::json).toList(),
                page,
                found.getTotalPages(),
                found.getTotalElements(),
                rows.count(),
                rows.countByReviewStateNot("checked"),
                rows.countUses(),
                optimism());
    }

    /** What nobody has compared with its original yet, what weighs most here first. */
    @GetMapping("/left")
    ReviewListJson left() {
        return reviews.first(PAGE);
    }

    /** Every study that weighs by what it found and how surely. */
    @GetMapping("/funnel")
    FunnelJson funnel() {
        return FunnelJson.of(Funnel.of(living.evidence()));
    }

    /** One record, how it stands here and how it came to. */
    @GetMapping("/{id}")
    RecordSheetJson record(@PathVariable String id) {
        NotFound missing = new NotFound("There is no record " + id + " in the ledger.");
        LedgerRow row = rows.findById(id).orElseThrow(() -> missing);
        return new RecordSheetJson(row.json(), standings.of(RecordId.of(id)).orElseThrow(() -> missing));
    }

    private RecordJson.OptimismJson optimism() {
        double[] beta = living.evidence().synthesis().beta();
        return new RecordJson.OptimismJson(Math.exp(beta[2]), Math.exp(beta[3]));
    }

    private static String like(String search) {
        return Stream.of(search.strip().toLowerCase(Locale.ROOT).split("\\s+"))
                .map(word -> word.replaceAll("([!%_])", "!$1"))
                .collect(Collectors.joining("%", "%", "%"));
    }
}
