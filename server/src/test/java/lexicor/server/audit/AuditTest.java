package lexicor.server.audit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.lang.reflect.Method;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.server.Asking;
import lexicor.server.BothDatabases;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.annotation.AnnotatedElementUtils;
import org.springframework.data.repository.Repository;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;
import tools.jackson.databind.JsonNode;

@ServerTest
@BothDatabases
class AuditTest {

    /** Requests that leave no line, each for a reason. */
    private static final Set<String> WITHOUT_LINE = Set.of(
            "preview",
            "session", // who is here: nothing of anybody else
            "signIn",
            "first",
            "add",
            "change", // accounts: write their lines themselves, with what was before and after
            "beginSecondFactor", // changes nothing
            "now",
            "history", // settings: nothing about a patient, and their own history says who changed what
            "chooseForMyself", // how the page calls things for one person
            "nextCode"); // a free code

    @Autowired
    private MockMvcTester server;

    @Autowired
    private List<RequestMappingHandlerMapping> mappings;

    @Autowired
    private AuditEntries entries;

    @Autowired
    private JdbcTemplate database;

    @Test
    void every_request_about_people_or_patients_leaves_a_line() {
        List<String> untraced = new ArrayList<>();
        int traced = 0;
        for (RequestMappingHandlerMapping mapping : mappings) {
            for (var entry : mapping.getHandlerMethods().entrySet()) {
                Method method = entry.getValue().getMethod();
                boolean about = entry.getKey().getPatternValues().stream()
                        .anyMatch(path -> path.matches(
                                "/api/(cases|examinations|accounts|audit|settings|session|first-account).*"));
                if (about && AnnotatedElementUtils.hasAnnotation(method, Traced.class)) {
                    traced++;
                } else if (about && !WITHOUT_LINE.contains(method.getName())) {
                    untraced.add(entry.getKey() + " " + method.getName());
                }
            }
        }
        assertThat(untraced).isEmpty();
        assertThat(traced).isGreaterThan(15);
    }

    @Test
    void a_line_says_who_did_what_to_what() {
        Asking therapist = Asking.as(server, "dale", Role.THERAPIST);
        Asking administrator = Asking.as(server, "gill", Role.ADMINISTRATOR);
        JsonNode examination = therapist.post(
                "/api/cases",
                "{\"id\":\"" + UUID.randomUUID() + "\",\"code\":\"AU-1\",\"details\":{},\"visit\":{\"id\":\""
                        + UUID.randomUUID()
                        + "\",\"region\":\"shoulder\",\"side\":\"LEFT\",\"setting\":\"FIRST_CONTACT\"}}",
                201);
        String id = examination.get("id").asString();
        assertThat(actions(administrator, id)).containsExactly("ENTERED case");
        therapist.get("/api/examinations/" + id, 200);
        therapist.get("/api/examinations/" + id + "/weighing", 200);
        therapist.get("/api/examinations/" + id, 200);
        assertThat(actions(administrator, id))
                .as("looking again is one look")
                .containsExactly("SAW examination", "ENTERED case");
        therapist.get("/api/examinations/" + id + "/note", 200);
        assertThat(actions(administrator, id)).first().isEqualTo("TOOK_OUT examination");
        JsonNode line = administrator.get("/api/audit?subjectId=" + id, 200).get(0);
        assertThat(line.get("author").asString()).isEqualTo("dale");
        assertThat(line.get("subjectName").asString()).isEqualTo("AU-1, left shoulder");
        assertThat(Asking.as(server, "brook", Role.ADMINISTRATOR).get("/api/audit?author=dale&action=TOOK_OUT", 200))
                .isNotEmpty();
    }

    @Test
    void what_fails_leaves_no_line_of_having_been_done() {
        long before = entries.count();
        Asking.as(server, "dale", Role.THERAPIST).get("/api/examinations/" + UUID.randomUUID(), 404);
        Asking.as(server, "dale", Role.THERAPIST).post("/api/cases", "{}", 400);
        assertThat(entries.count()).isEqualTo(before);
    }

    @Test
    void an_entry_whose_line_cannot_be_written_is_not_kept_either() {
        Asking therapist = Asking.as(server, "unlined", Role.THERAPIST);
        String start =
                "{\"id\":\"%s\",\"code\":\"AU-9\",\"details\":{},\"visit\":{\"id\":\"%s\",\"region\":\"shoulder\",\"side\":\"LEFT\",\"setting\":\"FIRST_CONTACT\"}}"
                        .formatted(UUID.randomUUID(), UUID.randomUUID());
        String id = therapist.post("/api/cases", start, 201).get("id").asString();
        String move =
                "{\"commands\":[{\"id\":\"%s\",\"clientId\":\"%s\",\"order\":1,\"at\":\"%s\",\"kind\":\"MOVE\",\"standAt\":\"sh-arc\",\"attempts\":[],\"answers\":[]}]}"
                        .formatted(UUID.randomUUID(), UUID.randomUUID(), java.time.Instant.now());
        Long last = database.queryForObject("select max(id) from audit_entry", Long.class);
        database.execute(
                "alter table audit_entry add constraint no_line_for_it check (author <> 'unlined' or action <> 'ENTERED' or id <= "
                        + last + ")");
        try {
            therapist.post("/api/examinations/" + id + "/commands", move, 422);
        } finally {
            database.execute("alter table audit_entry drop constraint no_line_for_it");
        }
        assertThat(therapist.get("/api/examinations/" + id, 200).get("commands"))
                .isEmpty();
        therapist.post("/api/examinations/" + id + "/commands", move, 200);
        assertThat(actions(Asking.as(server, "gill", Role.ADMINISTRATOR), id))
                .filteredOn("ENTERED examination"::equals)
                .hasSize(1);
    }

    @Test
    void lines_can_be_added_and_read_and_nothing_else() {
        assertThat(AuditEntries.class.getInterfaces()).containsExactly(Repository.class);
        assertThat(Arrays.stream(AuditEntries.class.getDeclaredMethods()).map(Method::getName))
                .containsExactlyInAnyOrder("save", "count", "find");
        AuditEntry entry = new AuditEntry(java.time.Instant.now(), "x".repeat(100), Action.SAW, "s", "", "");
        assertThatThrownBy(() -> entries.save(entry))
                .as("the table's own limits hold")
                .isInstanceOf(RuntimeException.class);
    }

    private static List<String> actions(Asking administrator, String id) {
        return administrator
                .get("/api/audit?subjectId=" + id, 200)
                .valueStream()
                .map(line -> line.get("action").asString() + " "
                        + line.get("subject").asString())
                .toList();
    }
}
