package lexicor.server;

import lexicor.core.assessment.VisitAssessor;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.intake.ContentWords;
import lexicor.core.intake.IntakeForm;
import lexicor.core.pathway.PathwayReader;
import lexicor.core.pathway.Pathways;
import lexicor.core.planning.ReadyRoutines;
import lexicor.core.safety.SafetyReader;
import lexicor.core.safety.SafetyRules;
import lexicor.core.tracking.NoiseTable;
import lexicor.server.start.StoredWords;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The core's content, read once at start; faulty content stops the start with file and line. */
@Configuration
class CoreContent {

    /** The content that ships, and by their words those tests and conditions that an earlier one had. */
    @Bean
    Catalogue catalogue(StoredWords stored) {
        Catalogue shipped = CatalogueReader.shipped();
        return shipped.with(stored.all().gone(shipped));
    }

    /** The words of the content, and of what is no longer part of it. */
    @Bean
    ContentWords words(StoredWords stored, Catalogue catalogue, IntakeForm form, Pathways pathways) {
        return ContentWords.of(catalogue, form, pathways).over(stored.all());
    }

    @Bean
    IntakeForm intakeForm(Catalogue catalogue) {
        return IntakeForm.shipped(catalogue);
    }

    @Bean
    VisitAssessor visitAssessor(Catalogue catalogue, IntakeForm form) {
        return new VisitAssessor(catalogue, form);
    }

    @Bean
    SafetyRules safetyRules(Catalogue catalogue, IntakeForm form) {
        return SafetyReader.shipped(catalogue, form.clues());
    }

    @Bean
    Pathways pathways(Catalogue catalogue, IntakeForm form) {
        return PathwayReader.shipped(catalogue, form.zoneNames());
    }

    @Bean
    NoiseTable noiseTable(Catalogue catalogue, IntakeForm form) {
        return NoiseTable.shipped(catalogue, form);
    }

    @Bean
    ReadyRoutines readyRoutines(Catalogue catalogue) {
        return ReadyRoutines.shipped(catalogue);
    }
}
