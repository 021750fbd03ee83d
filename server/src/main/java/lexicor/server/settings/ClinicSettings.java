package lexicor.server.settings;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.server.audit.Revision;
import lexicor.server.problems.BadInput;
import org.hibernate.envers.AuditReader;
import org.hibernate.envers.AuditReaderFactory;
import org.hibernate.envers.RevisionType;
import org.hibernate.envers.query.AuditEntity;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The clinic's settings, now and at every earlier revision. */
@Service
public class ClinicSettings {

    private static final int MOST_REVISIONS = 200;

    private final ClinicSettingRows rows;
    private final SettingNames names;
    private final Catalogue catalogue;
    private final EntityManager entities;
    private final Cache<Integer, Settings> earlier =
            Caffeine.newBuilder().maximumSize(MOST_REVISIONS).build();

    ClinicSettings(ClinicSettingRows rows, SettingNames names, Catalogue catalogue, EntityManager entities) {
        this.rows = rows;
        this.names = names;
        this.catalogue = catalogue;
        this.entities = entities;
    }

    /** As they are now. */
    @Transactional(readOnly = true)
    public Settings now() {
        Map<String, String> chosen = new LinkedHashMap<>();
        rows.findAll().forEach(row -> chosen.put(row.name(), row.chosen()));
        return new Settings(lastRevision(), chosen, catalogue);
    }

    /** As they were at a revision. What was decided once never changes, so it is kept. */
    @Transactional(readOnly = true)
    public Settings at(int revision) {
        return earlier.get(revision, this::read);
    }

    private Settings read(int revision) {
        Map<String, String> chosen = new LinkedHashMap<>();
        if (revision > 0) {
            for (Object row : history()
                    .createQuery()
                    .forEntitiesAtRevision(ClinicSetting.class, revision)
                    .getResultList()) {
                chosen.put(((ClinicSetting) row).name(), ((ClinicSetting) row).chosen());
            }
        }
        return new Settings(revision, chosen, catalogue);
    }

    /** Decides a setting; without a value it is again as it ships. */
    @Transactional
    Settings choose(String name, Optional<String> value) {
        if (names.words(name).isEmpty()) {
            throw new BadInput("name", "'" + name + "' is not a setting");
        }
        value.flatMap(chosen -> names.fault(name, chosen, now())).ifPresent(fault -> {
            throw new BadInput("value", fault);
        });
        Optional<ClinicSetting> row = rows.findById(name);
        if (value.isEmpty()) {
            row.ifPresent(rows::delete);
        } else if (row.isPresent()) {
            row.get().choose(value.get());
        } else {
            rows.save(new ClinicSetting(name, value.get()));
        }
        rows.flush();
        entities.flush();
        return now();
    }

    /**
     * A change of a setting.
     *
     * @param before empty where it was as it ships
     * @param after empty where it is again as it ships
     */
    record Change(Revision revision, String name, String words, Optional<String> before, Optional<String> after) {}

    /** Every change, newest first. */
    @Transactional(readOnly = true)
    List<Change> changes() {
        List<?> found = history()
                .createQuery()
                .forRevisionsOfEntity(ClinicSetting.class, false, true)
                .addOrder(AuditEntity.revisionNumber().asc())
                .getResultList();
        Map<String, String> current = new HashMap<>();
        List<Change> changes = new ArrayList<>();
        for (Object each : found) {
            Object[] change = (Object[]) each;
            ClinicSetting setting = (ClinicSetting) change[0];
            boolean gone = change[2] == RevisionType.DEL;
            String before = gone ? current.remove(setting.name()) : current.put(setting.name(), setting.chosen());
            changes.add(
                    0,
                    new Change(
                            (Revision) change[1],
                            setting.name(),
                            names.words(setting.name()).orElse(setting.name()),
                            Optional.ofNullable(before),
                            gone ? Optional.empty() : Optional.of(setting.chosen())));
        }
        return changes;
    }

    private int lastRevision() {
        Number last = (Number) history()
                .createQuery()
                .forRevisionsOfEntity(ClinicSetting.class, false, true)
                .addProjection(AuditEntity.revisionNumber().max())
                .getSingleResult();
        return last == null ? 0 : last.intValue();
    }

    private AuditReader history() {
        return AuditReaderFactory.get(entities);
    }
}
