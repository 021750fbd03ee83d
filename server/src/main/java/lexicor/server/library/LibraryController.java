package lexicor.server.library;

import java.util.List;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CueCard;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Routine;
import lexicor.core.catalogue.TestId;
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

    LibraryController(Catalogue catalogue, LibraryIndex index, IntakeForm intake) {
        this.intake = intake;
        this.catalogue = catalogue;
        this.index = index;
    }

    /** A region's routine with the cards of its tests, and of those that can be done beyond it. */
    @GetMapping("/regions/{region}")
    RegionJson region(@PathVariable String region) {
        Routine routine = known(region);
        return new RegionJson(region, catalogue.revision(),
                routine.steps().stream().map(step -> new RegionJson.StepJson(step.position(), step.tests().stream().map(TestId::value).toList())).toList(),
                Stream.concat(routine.order().stream(), catalogue.beyondRoutine(region).stream()).map(catalogue::test).map(LibraryController::test).toList());
    }

    /** What is asked in a region before the hands. */
    @GetMapping("/regions/{region}/intake")
    IntakeFormJson intake(@PathVariable String region) {
        known(region);
        return IntakeFormJson.of(intake, catalogue, region);
    }

    private Routine known(String region) {
        Routine routine = catalogue.routines().get(region);
        if (routine == null) {
            throw new NotFound("There is no region '" + region + "'. Allowed: " + String.join(", ", catalogue.routines().keySet()));
        }
        return routine;
    }

    /** All tests, conditions and clusters in short, with the names that several tests go by. */
    @GetMapping
    LibraryJson library() {
        return index.all();
    }

    static RegionJson.TestJson test(ExaminationTest test) {
        CueCard card = test.card();
        List<RegionJson.OptionJson> watch = card.watch().stream().map(item -> new RegionJson.OptionJson(item.value(), item.label())).toList();
        return new RegionJson.TestJson(test.id().value(), test.name(), test.shortName(), test.aliases(), test.position(), test.seconds(),
                test.provocation(), test.review(), new RegionJson.CardJson(card.patient(), card.you(), card.movement(), card.ask(), watch, card.stop()),
                test.parts().stream().map(part -> part(test, part)).toList(), test.wellSideParts(), test.nothing());
    }

    private static RegionJson.PartJson part(ExaminationTest test, PartDefinition part) {
        if (part instanceof PartDefinition.Choice choice) {
            return new RegionJson.PartJson(choice.key(), choice.label(), choice.many(),
                    choice.options().stream().map(option -> new RegionJson.OptionJson(option.value(), option.label())).toList(), null, null, null, null, List.of());
        }
        PartDefinition.Measure measure = (PartDefinition.Measure) part;
        return new RegionJson.PartJson(measure.key(), measure.label(), false, List.of(), measure.unit(), measure.least(), measure.most(), measure.step(),
                test.positiveWindows(measure.key()).stream().map(window -> new RegionJson.WindowJson(window.from(), window.to())).toList());
    }
}
