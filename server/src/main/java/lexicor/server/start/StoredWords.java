package lexicor.server.start;

import java.util.Map;
import java.util.TreeMap;
import lexicor.core.intake.ContentWords;
import org.springframework.boot.sql.init.dependency.DependsOnDatabaseInitialization;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The words of every content that this record was ever made with, kept with the record. */
@Component
@DependsOnDatabaseInitialization
public class StoredWords {

    private final JdbcTemplate database;
    private final JsonMapper json;

    StoredWords(JdbcTemplate database, JsonMapper json) {
        this.database = database;
        this.json = json;
    }

    /** The words of all content so far; of what was called otherwise later, the later ones. */
    public ContentWords all() {
        ContentWords[] all = {new ContentWords(Map.of())};
        database.query("select words from content_words order by kept_at", row -> {
            all[0] = new ContentWords(json.readValue(row.getString(1), new TypeReference<Map<String, String>>() {}))
                    .over(all[0]);
        });
        return all[0];
    }

    /** Keeps the words of a content, once. */
    void keep(String revision, ContentWords words, java.time.Instant at) {
        Integer known = database.queryForObject(
                "select count(*) from content_words where revision = ?", Integer.class, revision);
        if (known == null || known == 0) {
            database.update(
                    "insert into content_words (revision, kept_at, words) values (?, ?, ?)",
                    revision,
                    java.sql.Timestamp.from(at),
                    json.writeValueAsString(new TreeMap<>(words.words())));
        }
    }
}
