package lexicor.server;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.Entity;
import org.springframework.data.repository.Repository;

@AnalyzeClasses(packages = "lexicor.server", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule FEATURES_DO_NOT_DEPEND_ON_EACH_OTHER_IN_A_CIRCLE =
            slices().matching("lexicor.server.(*)..").should().beFreeOfCycles();

    /** The record knows none of those that read it, and none of these needs another in a circle. */
    @ArchTest
    static final ArchRule ROOMS_OF_AN_EXAMINATION_STAND_ON_EACH_OTHER =
            slices().matching("lexicor.server.examinations.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule THE_RECORD_OF_AN_EXAMINATION_KNOWS_NO_READER = noClasses()
            .that()
            .resideInAPackage("lexicor.server.examinations.record")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "lexicor.server.examinations",
                    "lexicor.server.examinations.assessment",
                    "lexicor.server.examinations.planning",
                    "lexicor.server.examinations.weighing",
                    "lexicor.server.examinations.paper",
                    "lexicor.server.examinations.signing");

    /**
     * Rows are how a feature stores, not how it speaks to others. Cases are the one thing that an examination is of.
     */
    @ArchTest
    static final ArchRule NO_FEATURE_STORES_FOR_ANOTHER =
            classes().that().areAssignableTo(Repository.class).should().notBePublic();

    @ArchTest
    static final ArchRule ENTITIES_KNOW_NO_WEB = noClasses()
            .that()
            .areAnnotatedWith(Entity.class)
            .should()
            .dependOnClassesThat()
            .resideInAPackage("org.springframework.web..");
}
