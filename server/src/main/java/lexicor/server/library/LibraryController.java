package lexicor.server.library;

import lexicor.core.catalogue.Catalogue;
import lexicor.core.intake.IntakeForm;
import lexicor.server.problems.NotFound;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The catalogue over HTTP. */
@RestController
@RequestMapping("/api/library")
class LibraryController {

    private final Catalogue catalogue;
    private final LibraryIndex index;
    private final IntakeForm intake;
    private final BenchCards cards;

    LibraryController(Catalogue catalogue, LibraryIndex index, IntakeForm intake, BenchCards cards) {
        this.cards = cards;
        this.intake = intake;
        this.catalogue = catalogue;
        this.index = index;
    }

    /** A region's routine with the cards of its tests, and of those that can be done beyond it. */
    @GetMapping("/regions/{region}")
    RegionJson region(@PathVariable String region) {
        known(region);
        return cards.region(region);
    }

    /** What is asked in a region before the hands. */
    @GetMapping("/regions/{region}/intake")
    IntakeFormJson intake(@PathVariable String region) {
        known(region);
        return IntakeFormJson.of(intake, catalogue, region);
    }

    private void known(String region) {
        if (!catalogue.routines().containsKey(region)) {
            throw new NotFound("There is no region '" + region + "'. Allowed: "
                    + String.join(", ", catalogue.routines().keySet()));
        }
    }

    /** All tests, conditions and clusters in short, with the names that several tests go by. */
    @GetMapping
    LibraryJson library() {
        return index.all();
    }
}
