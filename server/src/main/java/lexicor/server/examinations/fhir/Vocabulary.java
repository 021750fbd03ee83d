package lexicor.server.examinations.fhir;

import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.examination.Side;
import lexicor.core.intake.ContentWords;
import lexicor.core.intake.IntakeForm;
import org.hl7.fhir.r4.model.CodeSystem;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Coding;
import org.hl7.fhir.r4.model.Enumerations;
import org.hl7.fhir.r4.model.MetadataResource;
import org.hl7.fhir.r4.model.StructureDefinition;
import org.hl7.fhir.r4.model.UriType;
import org.hl7.fhir.r4.model.ValueSet;
import org.springframework.stereotype.Component;

/** The own codes and extensions, as resources that a receiver can load: everything that the content names. */
@Component
class Vocabulary {

    private final Catalogue catalogue;
    private final ContentWords words;

    Vocabulary(Catalogue catalogue, ContentWords words) {
        this.catalogue = catalogue;
        this.words = words;
    }

    /** Code systems, a value set of each, and the definitions of the extensions. */
    List<MetadataResource> all() {
        Map<FhirNames.Codes, Map<String, String>> codes = codes();
        return Stream.of(
                        Arrays.stream(FhirNames.Codes.values()).map(system -> codeSystem(system, codes.get(system))),
                        Arrays.stream(FhirNames.Codes.values()).map(this::valueSet),
                        Stream.of(
                                extension(
                                        FhirNames.POSITION,
                                        "The position in which it was taken",
                                        "string",
                                        "Observation.component"),
                                extension(
                                        FhirNames.REPEAT,
                                        "Which go within one attempt, from 1",
                                        "positiveInt",
                                        "Observation.component"),
                                extension(
                                        FhirNames.DIRECTION,
                                        "Whether on the way there or back",
                                        "string",
                                        "Observation.component"),
                                extension(
                                        FhirNames.PLAUSIBLE,
                                        "Middle 95 in 100 of plausible chances, in percent",
                                        "Range",
                                        "RiskAssessment.prediction")))
                .flatMap(each -> each)
                .map(MetadataResource.class::cast)
                .toList();
    }

    /** Every code with its words, by system. */
    private Map<FhirNames.Codes, Map<String, String>> codes() {
        Map<FhirNames.Codes, Map<String, String>> codes = new EnumMap<>(FhirNames.Codes.class);
        for (FhirNames.Codes system : FhirNames.Codes.values()) {
            codes.put(system, new LinkedHashMap<>());
        }
        catalogue.tests().values().forEach(test -> test(test, codes));
        catalogue
                .conditions()
                .values()
                .forEach(condition -> add(codes, FhirNames.condition(condition.id(), condition.name())));
        catalogue.tests().values().stream()
                .map(ExaminationTest::region)
                .distinct()
                .forEach(region -> {
                    for (Side side : Side.values()) {
                        add(codes, FhirNames.site(region, side));
                    }
                });
        words.questions().forEach((question, answers) -> {
            add(codes, FhirNames.question(question, words));
            add(codes, FhirNames.told(question, IntakeForm.NONE, words));
            answers.forEach(answer -> add(codes, FhirNames.told(question, answer, words)));
        });
        add(codes, FindingResources.FORCE_OF_OTHER_SIDE);
        add(codes, ConclusionResources.METHOD);
        return codes;
    }

    private void test(ExaminationTest test, Map<FhirNames.Codes, Map<String, String>> codes) {
        add(codes, FhirNames.test(test));
        test.conduct().ways().stream()
                .skip(1)
                .forEach(way -> add(codes, FhirNames.way(test.id(), way.value(), way.label())));
        test.conduct().variants().forEach(way -> add(codes, FhirNames.way(test.id(), way.value(), way.label())));
        for (PartDefinition part : test.parts()) {
            add(codes, FhirNames.part(test.id(), part.key(), words));
            List<PartDefinition.Option> options = part instanceof PartDefinition.Choice choice
                    ? choice.options()
                    : ((PartDefinition.Measure) part).byEye();
            options.forEach(option -> add(codes, FhirNames.answer(test.id(), part.key(), option.value(), words)));
        }
        test.criteria().forEach(criterion -> add(codes, FhirNames.criterion(test, criterion.id())));
    }

    private static void add(Map<FhirNames.Codes, Map<String, String>> codes, CodeableConcept concept) {
        Coding coding = concept.getCodingFirstRep();
        for (FhirNames.Codes system : FhirNames.Codes.values()) {
            if (system.url().equals(coding.getSystem())) {
                codes.get(system).putIfAbsent(coding.getCode(), coding.getDisplay());
            }
        }
    }

    private CodeSystem codeSystem(FhirNames.Codes of, Map<String, String> codes) {
        CodeSystem system = new CodeSystem();
        system.setId(of.id());
        system.setUrl(of.url())
                .setVersion(catalogue.revision())
                .setName(name(of))
                .setTitle(of.title)
                .setStatus(Enumerations.PublicationStatus.ACTIVE)
                .setDescription(of.title + ", as the content of this server has them.");
        system.setCaseSensitive(true)
                .setContent(CodeSystem.CodeSystemContentMode.COMPLETE)
                .setCount(codes.size())
                .setValueSet(valueSetUrl(of));
        codes.forEach((code, display) -> system.addConcept().setCode(code).setDisplay(display));
        return system;
    }

    private ValueSet valueSet(FhirNames.Codes of) {
        ValueSet set = new ValueSet();
        set.setId(of.id());
        set.setUrl(valueSetUrl(of))
                .setVersion(catalogue.revision())
                .setName(name(of) + "Set")
                .setTitle(of.title)
                .setStatus(Enumerations.PublicationStatus.ACTIVE)
                .setDescription("All of: " + of.title + ".");
        set.getCompose().addInclude().setSystem(of.url());
        return set;
    }

    private static String valueSetUrl(FhirNames.Codes of) {
        return FhirNames.BASE + "/ValueSet/" + of.id();
    }

    private static String name(FhirNames.Codes of) {
        return "Lexicor" + of.id().substring(0, 1).toUpperCase(Locale.ROOT)
                + of.id().substring(1);
    }

    private StructureDefinition extension(String url, String title, String type, String on) {
        String id = url.substring(url.lastIndexOf('/') + 1);
        StructureDefinition definition = new StructureDefinition();
        definition.setId(id);
        definition
                .setUrl(url)
                .setVersion(catalogue.revision())
                .setName("Lexicor" + id.replaceAll("-", "_"))
                .setTitle(title)
                .setStatus(Enumerations.PublicationStatus.ACTIVE)
                .setDescription(title + ".");
        definition
                .setFhirVersion(Enumerations.FHIRVersion._4_0_1)
                .setKind(StructureDefinition.StructureDefinitionKind.COMPLEXTYPE)
                .setAbstract(false)
                .setType("Extension")
                .setBaseDefinition("http://hl7.org/fhir/StructureDefinition/Extension")
                .setDerivation(StructureDefinition.TypeDerivationRule.CONSTRAINT);
        definition
                .addContext()
                .setType(StructureDefinition.ExtensionContextType.ELEMENT)
                .setExpression(on);
        var elements = definition.getDifferential();
        elements.addElement()
                .setPath("Extension")
                .setShort(title)
                .setDefinition(title + ".")
                .setMin(0)
                .setMax("1");
        elements.addElement().setPath("Extension.extension").setMax("0");
        elements.addElement().setPath("Extension.url").setFixed(new UriType(url));
        elements.addElement().setPath("Extension.value[x]").setMin(1).addType().setCode(type);
        elements.getElement().forEach(each -> each.setId(each.getPath()));
        return definition;
    }
}
