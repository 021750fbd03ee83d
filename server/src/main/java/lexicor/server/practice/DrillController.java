package lexicor.server.practice;

import jakarta.validation.Valid;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.drills.Drill;
import lexicor.core.drills.DrillMaker;
import lexicor.core.drills.LeitnerBox;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.KnownRegion;
import lexicor.server.problems.NotFound;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Exercises over HTTP: what a person missed comes back soon, what is known later and later. */
@RestController
@RequestMapping("/api/practice/drills")
class DrillController {

    private final PracticeGroundKeeper grounds;
    private final DrillStore store;
    private final Catalogue catalogue;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    DrillController(PracticeGroundKeeper grounds, DrillStore store, Catalogue catalogue, Clock clock) {
        this.grounds = grounds;
        this.store = store;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    /** How far each kind has got in a region. */
    @GetMapping
    @Transactional(readOnly = true)
    List<DrillJson.DrillStandJson> stand(@RequestParam String region) {
        KnownRegion.require(catalogue, "region", region);
        List<DrillStore.Row> rows = store.of(CurrentUser.isHere());
        return Arrays.stream(Drill.Kind.values())
                .map(kind -> stand(kind, grounds.now().drills().items(kind, region), rows))
                .toList();
    }

    private DrillJson.DrillStandJson stand(Drill.Kind kind, List<Drill.Item> items, List<DrillStore.Row> rows) {
        Set<Drill.Item> all = new HashSet<>(items);
        List<DrillStore.Row> seen =
                rows.stream().filter(row -> all.contains(row.item())).toList();
        return new DrillJson.DrillStandJson(
                kind,
                items.size(),
                seen.size(),
                (int) seen.stream().filter(row -> row.box().due(today())).count(),
                (int) seen.stream().filter(row -> row.box().box() > 0).count());
    }

    /** The next exercise: what is due first, else something new, else what is due soonest. */
    @GetMapping("/next")
    @Transactional(readOnly = true)
    DrillJson next(@RequestParam String region, @RequestParam Drill.Kind kind) {
        KnownRegion.require(catalogue, "region", region);
        DrillMaker drills = grounds.now().drills();
        List<Drill.Item> items = drills.items(kind, region);
        if (items.isEmpty()) {
            throw new NotFound("There is no exercise of this kind for the " + region + ".");
        }
        Set<Drill.Item> all = new HashSet<>(items);
        List<DrillStore.Row> seen = store.of(CurrentUser.isHere()).stream()
                .filter(row -> all.contains(row.item()))
                .toList();
        Set<Drill.Item> known = new HashSet<>();
        seen.forEach(row -> known.add(row.item()));
        List<Drill.Item> fresh =
                items.stream().filter(item -> !known.contains(item)).toList();
        Drill.Item item = seen.stream()
                .filter(row -> row.box().due(today()))
                .findFirst()
                .map(DrillStore.Row::item)
                .orElseGet(() -> fresh.isEmpty() ? seen.get(0).item() : fresh.get(random.nextInt(fresh.size())));
        return DrillJson.of(drills.make(item, random.nextInt()).orElseThrow());
    }

    /** Marks an answer, and keeps when the item is asked again. */
    @PostMapping("/answers")
    @Transactional
    DrillJson.DrillMarkedJson answer(@Valid @RequestBody DrillJson.DrillAnswer request) {
        KnownRegion.require(catalogue, "region", request.region());
        Drill.Item item = new Drill.Item(request.kind(), request.region(), request.about());
        Drill.Marked marked;
        try {
            marked = grounds.now()
                    .drills()
                    .mark(
                            item,
                            request.seed(),
                            new Drill.Answer(
                                    request.values(),
                                    request.chance() == null
                                            ? OptionalDouble.empty()
                                            : OptionalDouble.of(request.chance())));
        } catch (IllegalArgumentException fault) {
            throw new BadInput(request.values().isEmpty() ? "chance" : "values", fault.getMessage());
        }
        String owner = CurrentUser.isHere();
        DrillStore.Row before =
                store.of(owner, item).orElseGet(() -> new DrillStore.Row(item, LeitnerBox.first(today()), 0, 0));
        store.keep(
                owner,
                new DrillStore.Row(
                        item,
                        before.box().after(marked.right(), today()),
                        before.asked() + 1,
                        before.missed() + (marked.right() ? 0 : 1)));
        return DrillJson.DrillMarkedJson.of(marked);
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }
}
