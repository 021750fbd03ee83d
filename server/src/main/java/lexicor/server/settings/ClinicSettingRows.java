package lexicor.server.settings;

import org.springframework.data.jpa.repository.JpaRepository;

interface ClinicSettingRows extends JpaRepository<ClinicSetting, String> {}
