package lexicor.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "lexicor.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule CORE_KNOWS_NO_FRAMEWORK = classes()
            .should()
            .onlyDependOnClassesThat()
            .resideInAnyPackage(
                    "lexicor.core..",
                    "java..",
                    "org.hipparchus..",
                    "org.snakeyaml..",
                    "org.apache.commons.csv..",
                    "org.jspecify..");

    @ArchTest
    static final ArchRule CONCEPTS_DO_NOT_DEPEND_ON_EACH_OTHER_IN_A_CIRCLE =
            slices().matching("lexicor.core.(*)..").should().beFreeOfCycles();
}
