package lexicor.server.examinations;

import java.util.List;
import lexicor.server.Asking;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import lexicor.server.examinations.record.CommandJson;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;

/** A therapist who sends commands to an examination and asks where it stands. */
@ServerTest
abstract class AtTheBench {

    Asking therapist;
    final Visit visit = new Visit();

    @Autowired
    private MockMvcTester server;

    @BeforeEach
    void ask() {
        therapist = Asking.as(server, "dale", Role.THERAPIST);
    }

    void send(String id, CommandJson... commands) {
        therapist.post(
                "/api/examinations/" + id + "/commands", new ExaminationJson.Batch(List.of(commands), null), 200);
    }

    JsonNode weighing(String id) {
        return therapist.get("/api/examinations/" + id + "/weighing", 200);
    }

    String note(String id) {
        return therapist.text("/api/examinations/" + id + "/note");
    }
}
