package lexicor.server.examinations.fhir;

import java.nio.charset.StandardCharsets;
import java.util.Date;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.signing.SignedVisit;
import lexicor.server.examinations.signing.Snapshot;
import org.hl7.fhir.r4.model.CodeableConcept;
import org.hl7.fhir.r4.model.DomainResource;
import org.hl7.fhir.r4.model.HumanName;
import org.hl7.fhir.r4.model.Narrative;
import org.hl7.fhir.r4.model.Practitioner;
import org.hl7.fhir.r4.model.Reference;
import org.hl7.fhir.r4.model.Resource;
import org.hl7.fhir.utilities.xhtml.NodeType;
import org.hl7.fhir.utilities.xhtml.XhtmlNode;

/**
 * Ids of what a signed examination gives, and references to it. An id begins with that of the examination and stays the
 * same in its later versions.
 */
record VisitNames(SignedVisit visit) {

    /** Letters that tell resources of one kind apart within an examination. */
    private static final int LETTERS = 12;

    private static final Pattern OF_VISIT =
            Pattern.compile("([0-9a-f]{8})([0-9a-f]{4})([0-9a-f]{4})([0-9a-f]{4})([0-9a-f]{12})-.+");

    /** The examination that an id of a resource begins with; empty where it is none of these. */
    static Optional<UUID> visitOf(String id) {
        Matcher visit = OF_VISIT.matcher(id);
        return visit.matches() ? Optional.of(UUID.fromString(visit.replaceFirst("$1-$2-$3-$4-$5"))) : Optional.empty();
    }

    /** Id of somebody who examined or signed. */
    static String practitioner(String signInName) {
        return UUID.nameUUIDFromBytes(("practitioner " + signInName).getBytes(StandardCharsets.UTF_8))
                .toString();
    }

    /** Somebody who examined or signed, under a display name. */
    static Practitioner practitioner(String signInName, String called) {
        Practitioner practitioner = new Practitioner().addName(new HumanName().setText(called));
        practitioner.setId(practitioner(signInName));
        practitioner.setText(narrative(called));
        return practitioner;
    }

    private String id(String suffix) {
        return hex(row().getId()) + "-" + suffix;
    }

    private static String hex(UUID id) {
        return id.toString().replace("-", "");
    }

    /** Gives a resource of which there is one in an examination its id, its version and its words. */
    <T extends DomainResource> T named(T resource, String kind, String words) {
        return whole(resource, id(kind), words);
    }

    /** Of which there are several, told apart by the id of what they stand for. */
    <T extends DomainResource> T named(T resource, String kind, UUID of, String words) {
        return named(resource, kind + "-" + hex(of).substring(0, LETTERS), words);
    }

    /** Of which there are several, told apart by names. */
    <T extends DomainResource> T named(T resource, String kind, String of, String words) {
        return named(resource, kind, UUID.nameUUIDFromBytes(of.getBytes(StandardCharsets.UTF_8)), words);
    }

    /** With an id of its own. */
    <T extends DomainResource> T whole(T resource, String id, String words) {
        resource.setId(id);
        resource.getMeta()
                .setVersionId(String.valueOf(visit.signature().version()))
                .setLastUpdated(signed());
        resource.setText(narrative(words));
        return resource;
    }

    static Narrative narrative(String words) {
        XhtmlNode body = new XhtmlNode(NodeType.Element, "div");
        body.setAttribute("xmlns", "http://www.w3.org/1999/xhtml");
        for (String line : words.split("\n")) {
            body.addTag("p").addText(line);
        }
        Narrative narrative = new Narrative();
        narrative.setStatus(Narrative.NarrativeStatus.GENERATED);
        narrative.setDiv(body);
        return narrative;
    }

    /** What a resource says in words. */
    static String words(DomainResource resource) {
        return resource.getText().getDiv().allText().strip();
    }

    static Reference to(Resource resource) {
        return new Reference(resource.fhirType() + "/" + resource.getIdPart());
    }

    Reference patient() {
        return new Reference("Patient/" + row().caseFile().id());
    }

    Reference encounter() {
        return new Reference("Encounter/" + id("visit"));
    }

    static Reference practitionerOf(String signInName) {
        return new Reference("Practitioner/" + practitioner(signInName));
    }

    Reference signer() {
        return practitionerOf(visit.signature().author());
    }

    Date signed() {
        return Date.from(visit.signature().at());
    }

    ExaminationRow row() {
        return visit.recorded().row();
    }

    /** What came out when it was signed. */
    Snapshot.Outputs outputs() {
        return visit.snapshot().outputs();
    }

    /** The joint and the side in question. */
    CodeableConcept site() {
        return FhirNames.site(row().region(), row().side());
    }
}
