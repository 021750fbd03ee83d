package lexicor.server.examinations.fhir;

import static lexicor.server.examinations.fhir.FhirNames.hl7;

import ca.uhn.fhir.context.FhirContext;
import java.util.List;
import java.util.stream.Stream;
import lexicor.server.examinations.record.SignatureRow;
import lexicor.server.examinations.signing.SignedVisit;
import lexicor.server.examinations.signing.Snapshot;
import lexicor.server.report.ReportPrinter;
import org.hl7.fhir.r4.model.Attachment;
import org.hl7.fhir.r4.model.Bundle;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.Coding;
import org.hl7.fhir.r4.model.Composition;
import org.hl7.fhir.r4.model.DocumentReference;
import org.hl7.fhir.r4.model.DomainResource;
import org.hl7.fhir.r4.model.Enumerations;
import org.hl7.fhir.r4.model.Identifier;
import org.hl7.fhir.r4.model.Provenance;
import org.hl7.fhir.r4.model.Resource;
import org.hl7.fhir.r4.model.Signature;
import org.springframework.stereotype.Component;

/** A signed examination as one document: a composition and everything that it names, with the report as a PDF. */
@Component
class VisitDocuments {

    private final VisitResources resources;
    private final ReportPrinter printer;

    VisitDocuments(VisitResources resources, ReportPrinter printer) {
        this.resources = resources;
        this.printer = printer;
    }

    /** The document as JSON. */
    String json(SignedVisit visit, boolean withName) {
        return FhirContext.forR4Cached()
                .newJsonParser()
                .setPrettyPrint(true)
                .encodeResourceToString(of(visit, withName));
    }

    /** @param withName whether the patient's name leaves too, where it is stored */
    Bundle of(SignedVisit visit, boolean withName) {
        VisitNames names = new VisitNames(visit);
        VisitResources.Whole whole = resources.of(visit, withName);
        DocumentReference report = report(names);
        Composition composition = composition(names, whole, report);
        Bundle document = new Bundle().setType(Bundle.BundleType.DOCUMENT).setTimestamp(names.signed());
        document.setId(visit.signature().getId().toString());
        document.getIdentifier()
                .setSystem(FhirNames.DOCUMENT)
                .setValue(visit.signature().getId().toString());
        Stream.of(Stream.of(composition), whole.all().stream(), Stream.of(report, provenance(names, composition)))
                .flatMap(each -> each)
                .forEach(each -> document.addEntry().setFullUrl(url(each)).setResource(each));
        return document;
    }

    private static String url(Resource resource) {
        return FhirNames.BASE + "/" + resource.fhirType() + "/" + resource.getIdPart();
    }

    private Composition composition(VisitNames names, VisitResources.Whole whole, DocumentReference report) {
        SignatureRow signature = names.visit().signature();
        Snapshot.Outputs signed = names.outputs();
        Composition composition = new Composition()
                .setStatus(
                        signature.version() == 1
                                ? Composition.CompositionStatus.FINAL
                                : Composition.CompositionStatus.AMENDED)
                .setType(FhirNames.consultNote())
                .setSubject(names.patient())
                .setEncounter(names.encounter())
                .setDate(names.signed())
                .addAuthor(names.signer())
                .setTitle(signed.report().title());
        composition
                .getIdentifier()
                .setSystem(FhirNames.EXAMINATION)
                .setValue(names.row().getId().toString());
        names.visit().recorded().versions().signed().stream()
                .filter(earlier -> earlier.version() == signature.version() - 1)
                .forEach(earlier -> composition
                        .addRelatesTo()
                        .setCode(Composition.DocumentRelationshipType.REPLACES)
                        .setTarget(new Identifier()
                                .setSystem(FhirNames.DOCUMENT)
                                .setValue(earlier.getId().toString())));
        composition
                .addAttester()
                .setMode(Composition.CompositionAttestationMode.LEGAL)
                .setTime(names.signed())
                .setParty(names.signer());
        section(
                composition,
                "Conclusion",
                String.join("\n", signed.report().conclusion()),
                Stream.of(Stream.of(whole.concluded().impression()), whole.concluded().diagnoses().stream())
                        .flatMap(each -> each)
                        .toList());
        section(
                composition,
                "To be done next",
                words(whole.concluded().proposals()),
                whole.concluded().proposals());
        section(
                composition,
                "Where it stands",
                VisitNames.words(whole.concluded().ranking()),
                List.of(whole.concluded().ranking()));
        section(
                composition,
                "What was found",
                words(whole.found().findings()),
                whole.found().findings());
        section(
                composition,
                "How it is read",
                words(whole.found().readings()),
                whole.found().readings());
        section(
                composition,
                "Worked out and told",
                words(whole.found().others()),
                whole.found().others());
        section(composition, "Not done", String.join("\n", signed.report().notDone()), List.of());
        section(composition, "What was told", VisitNames.words(whole.story()), List.of(whole.story()));
        section(composition, "Safety", String.join("\n", signed.report().safety()), List.of());
        section(
                composition,
                "What the figures are worth",
                String.join("\n", signed.report().caution()),
                List.of());
        section(composition, "The report as a PDF", "The report as it was signed.", List.of(report));
        return names.named(
                composition,
                "document",
                signed.report().title() + "\n" + signed.report().standing());
    }

    private static String words(List<? extends DomainResource> resources) {
        return String.join("\n", resources.stream().map(VisitNames::words).toList());
    }

    /** A section is left out where it says nothing. */
    private static void section(Composition composition, String title, String words, List<? extends Resource> entries) {
        if (words.isBlank() && entries.isEmpty()) {
            return;
        }
        Composition.SectionComponent section =
                composition.addSection().setTitle(title).setText(VisitNames.narrative(words));
        entries.forEach(each -> section.addEntry(VisitNames.to(each)));
    }

    private DocumentReference report(VisitNames names) {
        Snapshot.Outputs signed = names.outputs();
        DocumentReference report = new DocumentReference()
                .setStatus(Enumerations.DocumentReferenceStatus.CURRENT)
                .setDocStatus(DocumentReference.ReferredDocumentStatus.FINAL)
                .setType(FhirNames.consultNote())
                .setSubject(names.patient())
                .setDate(names.signed())
                .addAuthor(names.signer());
        report.getContext().addEncounter(names.encounter());
        report.addContent()
                .setAttachment(new Attachment()
                        .setContentType("application/pdf")
                        .setTitle(signed.report().title())
                        .setCreation(names.signed())
                        .setData(printer.print(signed.report()).pdf()));
        return names.named(report, "report", signed.report().title());
    }

    private static Provenance provenance(VisitNames names, Composition composition) {
        SignatureRow row = names.visit().signature();
        Provenance provenance = new Provenance()
                .addTarget(VisitNames.to(composition))
                .setRecorded(names.signed())
                .setActivity(activity(row));
        provenance
                .addAgent()
                .setType(hl7("provenance-participant-type", "author", "Author"))
                .setWho(names.signer());
        provenance.addSignature(new Signature()
                .addType(new Coding("urn:iso-astm:E1762-95:2013", "1.2.840.10065.1.12.1.1", "Author's Signature"))
                .setWhen(names.signed())
                .setWho(names.signer()));
        return names.named(
                provenance,
                "signature",
                names.outputs().report().standing()
                        + (row.enteredBy().isEmpty() ? "" : "\nEntered by " + String.join(", ", row.enteredBy())));
    }

    private static CodeableConcept activity(SignatureRow row) {
        return row.version() == 1
                ? hl7("v3-DataOperation", "CREATE", "create")
                : hl7("v3-DataOperation", "UPDATE", "revise");
    }
}
