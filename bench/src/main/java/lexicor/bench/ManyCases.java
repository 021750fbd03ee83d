package lexicor.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.UUID;

/**
 * Fills a record with invented cases, each with one examination that has just begun. The server must not be running.
 */
final class ManyCases {

    private static final List<String> CRAFTS = List.of(
            "Rope maker",
            "Cheese turner",
            "Harp tuner",
            "Bog surveyor",
            "Kite builder",
            "Lock keeper",
            "Reed cutter",
            "Tile glazer",
            "Ferry deckhand",
            "Bell ringer",
            "Peat digger",
            "Map engraver",
            "Salt boiler",
            "Crane rigger",
            "Seed sorter",
            "Oyster farmer");
    private static final List<String> REGIONS = List.of("shoulder", "elbow", "wrist", "hand");
    private static final List<String> STATES = List.of("BEGUN", "SCREENED", "TESTING", "DONE", "SUSPENDED");
    private static final int BATCH = 2000;

    private ManyCases() {}

    static void fill(Path data, int cases) throws SQLException {
        try (Connection record =
                DriverManager.getConnection("jdbc:h2:file:" + data.resolve("lexicor"), "lexicor", "")) {
            record.setAutoCommit(false);
            try (PreparedStatement file = record.prepareStatement(
                            "insert into case_file (id, code, created_at, birth_year, occupation, version) values (?, ?, ?, ?, ?, 0)");
                    PreparedStatement episode = record.prepareStatement(
                            "insert into episode (id, case_id, region, side, opened_at) values (?, ?, ?, 'RIGHT', ?)");
                    PreparedStatement examination = record.prepareStatement(
                            "insert into examination (id, case_id, episode_id, region, side, setting, author, started_at, "
                                    + "catalogue_revision, evidence_revision, settings_revision) values (?, ?, ?, ?, 'RIGHT', 'FIRST_CONTACT', 'bench', ?, '', '', '0')");
                    PreparedStatement standing = record.prepareStatement(
                            "insert into case_standing (case_id, examination_id, region, state, last_at, visits, done, total) "
                                    + "values (?, ?, ?, ?, ?, 1, 0, 5)");
                    PreparedStatement word =
                            record.prepareStatement("insert into case_word (word, case_id) values (?, ?)")) {
                List<PreparedStatement> order = List.of(file, episode, examination, standing, word);
                Instant first = Instant.parse("2020-01-01T08:00:00Z");
                for (int i = 0; i < cases; i++) {
                    UUID caseId = new UUID(1, i);
                    UUID episodeId = new UUID(2, i);
                    UUID examinationId = new UUID(3, i);
                    Timestamp at = Timestamp.from(first.plusSeconds(900L * i));
                    String code = String.format(Locale.ROOT, "BN-%06d", i);
                    String craft = CRAFTS.get(i % CRAFTS.size());
                    String region = REGIONS.get(i / 3 % REGIONS.size());
                    add(file, caseId, code, at, 1930 + i % 80, craft);
                    add(episode, episodeId, caseId, region, at);
                    add(examination, examinationId, caseId, episodeId, region, at);
                    add(standing, caseId, examinationId, region, STATES.get(i / 5 % STATES.size()), at);
                    add(word, code.toLowerCase(Locale.ROOT), caseId);
                    for (String each : craft.toLowerCase(Locale.ROOT).split(" ")) {
                        add(word, each, caseId);
                    }
                    if (i % BATCH == BATCH - 1 || i == cases - 1) {
                        for (PreparedStatement each : order) {
                            each.executeBatch();
                        }
                        record.commit();
                    }
                }
            }
        }
    }

    private static void add(PreparedStatement statement, Object... values) throws SQLException {
        for (int i = 0; i < values.length; i++) {
            statement.setObject(i + 1, values[i]);
        }
        statement.addBatch();
    }
}
