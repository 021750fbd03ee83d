package lexicor.server.settings;

import java.util.List;
import org.springframework.data.jpa.repository.JpaRepository;

interface PersonalSettingRows extends JpaRepository<PersonalSetting, PersonalSetting.Key> {

    List<PersonalSetting> findByAccount(String account);
}
