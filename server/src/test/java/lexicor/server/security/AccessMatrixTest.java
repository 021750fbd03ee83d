package lexicor.server.security;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.anonymous;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.user;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.request.RequestPostProcessor;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/**
 * Every endpoint of the server against everybody who may ask. An endpoint that stands in no line here fails the test.
 */
@ServerTest
class AccessMatrixTest {

    private static final Set<String> ALL = Set.of("nobody", "THERAPIST", "STUDENT", "STEWARD", "ADMINISTRATOR");
    private static final Set<String> SIGNED_IN = Set.of("THERAPIST", "STUDENT", "STEWARD", "ADMINISTRATOR");

    /** Who may ask, by method and address. */
    private static final Map<String, Set<String>> ALLOWED = new TreeMap<>();

    static {
        allow(
                ALL,
                "GET /api/session",
                "POST /api/session",
                "POST /api/first-account",
                "POST /api/calculate/accuracy",
                "POST /api/calculate/post-test",
                "POST /api/calculate/group",
                "POST /api/calculate/interval",
                "POST /api/calculate/pool",
                "POST /api/calculate/synthesis",
                "POST /api/calculate/joint",
                "POST /api/calculate/agreement",
                "POST /api/calculate/verification",
                "POST /api/calculate/change",
                "GET /v3/api-docs",
                "GET /v3/api-docs.yaml",
                "GET /actuator/health");
        allow(
                SIGNED_IN,
                "DELETE /api/session",
                "POST /api/session/password",
                "POST /api/session/second-factor",
                "POST /api/session/second-factor/confirmed",
                "POST /api/session/second-factor/ended",
                "GET /api/settings",
                "PUT /api/settings/own/{name}",
                "GET /api/routines",
                "GET /api/practice/cases",
                "POST /api/practice/cases",
                "POST /api/practice/cases/written",
                "GET /api/practice/cases/{id}",
                "DELETE /api/practice/cases/{id}",
                "POST /api/practice/cases/{id}/steps",
                "GET /api/practice/cases/{id}/review",
                "GET /api/practice/cases/{id}/case.yaml",
                "GET /api/practice/drills",
                "GET /api/practice/drills/next",
                "POST /api/practice/drills/answers",
                "GET /api/practice/progress",
                "GET /api/practice/classes",
                "POST /api/practice/membership",
                "DELETE /api/practice/membership/{id}",
                "POST /api/practice/membership/{id}/series/{series}/{place}",
                "GET /api/backups/age",
                "GET /api/library",
                "GET /api/library/regions/{region}",
                "GET /api/library/regions/{region}/intake",
                "GET /api/library/tests/{id}",
                "GET /api/library/tests/{id}/effect",
                "GET /api/library/tests/{id}/one-more",
                "GET /api/library/conditions/{id}",
                "GET /api/library/clusters/{id}",
                "GET /api/library/records",
                "GET /api/library/records/{id}",
                "GET /api/library/records/left",
                "GET /api/library/records/funnel",
                "GET /api/ledger/changes",
                "GET /api/ledger/waiting",
                "GET /api/ledger/ledger.json",
                "GET /api/ledger/ledger.csv");
        allow(
                Set.of("THERAPIST"),
                "GET /api/events",
                "GET /api/cases",
                "POST /api/cases",
                "GET /api/cases/next-code",
                "GET /api/cases/{id}",
                "PUT /api/cases/{id}",
                "GET /api/cases/{id}/case.json",
                "GET /api/cases/{id}/findings.csv",
                "GET /api/cases/{id}/measures.csv",
                "GET /api/cases/{id}/readings.csv",
                "GET /api/cases/{id}/conclusions.csv",
                "POST /api/cases/{id}/examinations",
                "GET /api/cases/{id}/complaints/{complaint}/course",
                "GET /api/cases/{id}/complaints/{complaint}/course.csv",
                "GET /api/cases/{id}/complaints/{complaint}/results",
                "POST /api/cases/{id}/complaints/{complaint}/results",
                "POST /api/cases/{id}/complaints/{complaint}/results/{result}/withdrawal",
                "GET /api/outcomes/waiting",
                "GET /api/examinations/{id}",
                "POST /api/examinations/{id}/commands",
                "GET /api/examinations/{id}/intake",
                "GET /api/examinations/{id}/weighing",
                "GET /api/examinations/{id}/weighing/{conditionId}",
                "GET /api/examinations/{id}/conclusion",
                "GET /api/examinations/{id}/note",
                "GET /api/examinations/{id}/retest.ics",
                "GET /api/examinations/{id}/again",
                "GET /api/examinations/{id}/plan",
                "GET /api/examinations/{id}/plan/curve",
                "GET /api/examinations/{id}/plan/own",
                "GET /api/examinations/{id}/plan/story",
                "GET /api/examinations/{id}/plan/again",
                "GET /api/examinations/{id}/report",
                "GET /api/examinations/{id}/report.pdf",
                "GET /api/examinations/{id}/fhir.json",
                "GET /api/examinations/{id}/sending",
                "POST /api/examinations/{id}/sending",
                "POST /api/examinations/{id}/sending/again",
                "POST /api/examinations/{id}/signature",
                "POST /api/examinations/{id}/amendment",
                "POST /api/examinations/{id}/takeover",
                "GET /api/examinations/{id}/evidence",
                "POST /api/examinations/{id}/evidence",
                "GET /api/examinations/{id}/versions/{version}/recomputed");
        allow(
                Set.of("STEWARD"),
                "POST /api/library/tests/{id}/review",
                "POST /api/ledger/preview",
                "POST /api/ledger/policy",
                "POST /api/ledger/policy/preview",
                "POST /api/ledger/waiting/agree",
                "POST /api/ledger/waiting/preview",
                "POST /api/ledger/references",
                "POST /api/ledger/changes",
                "POST /api/ledger/import",
                "POST /api/papers/of/{record}/{paper}",
                "POST /api/papers/{paper}/removal",
                "POST /api/ledger/import/preview",
                "POST /api/routines/check",
                "PUT /api/settings/{name}",
                "POST /api/settings/note-preview");
        allow(
                Set.of("THERAPIST", "STEWARD"),
                "POST /api/practice/classes",
                "DELETE /api/practice/classes/{id}",
                "POST /api/practice/classes/{id}/series",
                "DELETE /api/practice/classes/{id}/series/{series}",
                "GET /api/practice/classes/{id}/results.csv",
                "GET /api/ledger/policy",
                "GET /api/papers/of/{record}",
                "GET /api/papers/{paper}.pdf",
                "GET /api/outcomes/conditions",
                "GET /api/outcomes/conditions/{conditionId}",
                "GET /api/outcomes/agreement",
                "GET /api/outcomes/calibration");
        allow(Set.of("STEWARD", "ADMINISTRATOR"), "GET /api/settings/history");
        allow(
                Set.of("ADMINISTRATOR"),
                "GET /api/accounts",
                "GET /api/backups",
                "GET /api/export/clinic.zip",
                "GET /api/receiver",
                "PUT /api/receiver",
                "POST /api/import/case",
                "POST /api/import/case/preview",
                "POST /api/backups",
                "PUT /api/backups/plan",
                "POST /api/accounts",
                "PUT /api/accounts/{id}",
                "GET /api/audit");
    }

    @Autowired
    private MockMvcTester server;

    @Autowired
    private List<RequestMappingHandlerMapping> mappings;

    private static void allow(Set<String> whom, String... requests) {
        List.of(requests).forEach(request -> ALLOWED.put(request, whom));
    }

    @Test
    void every_endpoint_answers_those_it_is_for_and_refuses_everybody_else() {
        List<String> wrong = new ArrayList<>();
        int asked = 0;
        for (Map.Entry<String, Set<String>> entry : ALLOWED.entrySet()) {
            for (String who : ALL) {
                int status = status(entry.getKey(), who);
                boolean refused = status == 401 || status == 403;
                boolean signInItself = entry.getKey().equals("POST /api/session");
                if (!signInItself && refused == entry.getValue().contains(who)) {
                    wrong.add(entry.getKey() + " asked by " + who + ": " + status);
                }
                asked++;
            }
        }
        assertThat(wrong).as("of %d", asked).isEmpty();
        System.out.println("access matrix: " + ALLOWED.size() + " endpoints x " + ALL.size() + " = " + asked
                + " checks, " + wrong.size() + " failures");
    }

    @Test
    void nobody_is_told_to_sign_in_and_somebody_of_the_wrong_role_is_told_so() {
        assertThat(status("GET /api/cases", "nobody")).isEqualTo(401);
        assertThat(status("GET /api/cases", "STUDENT")).isEqualTo(403);
        assertThat(status("GET /api/nowhere", "ADMINISTRATOR")).isEqualTo(403);
    }

    @Test
    void every_endpoint_that_there_is_stands_in_the_matrix() {
        List<String> there = new ArrayList<>();
        for (RequestMappingHandlerMapping mapping : mappings) {
            mapping.getHandlerMethods().forEach((info, method) -> {
                for (String path : info.getPatternValues()) {
                    for (RequestMethod each : info.getMethodsCondition().getMethods()) {
                        there.add(each + " " + path);
                    }
                }
            });
        }
        assertThat(there)
                .hasSizeGreaterThan(30)
                .filteredOn(request -> request.contains("/api/") && !request.contains("swagger"))
                .allSatisfy(request -> assertThat(ALLOWED).containsKey(request));
    }

    private int status(String request, String who) {
        String[] words = request.split(" ");
        String address = words[1].replace("{region}", "shoulder")
                .replace("{name}", "force-unit")
                .replace("{id}", UUID.randomUUID().toString())
                .replace("{conditionId}", "acj")
                .replace("{complaint}", UUID.randomUUID().toString())
                .replace("{result}", UUID.randomUUID().toString())
                .replace("{record}", "E001")
                .replace("{paper}", UUID.randomUUID().toString())
                .replace("{series}", UUID.randomUUID().toString())
                .replace("{place}", "0")
                .replace("{version}", "1");
        RequestPostProcessor person = who.equals("nobody")
                ? anonymous()
                : user("somebody").roles(Role.valueOf(who).name());
        return server.method(HttpMethod.valueOf(words[0]))
                .uri(address)
                .with(person)
                .with(csrf())
                .contentType(MediaType.APPLICATION_JSON)
                .content("{}")
                .asyncExchange()
                .getResponse()
                .getStatus();
    }
}
