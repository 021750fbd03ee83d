package lexicor.server.calculators;

import static org.assertj.core.api.Assertions.assertThat;

import lexicor.server.ServerTest;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ServerTest
class CalculatorApiTest {

    private static final Offset<Double> EXACT = Offset.offset(1e-9);

    @Autowired
    private MockMvcTester server;

    @Test
    void accuracy_gives_the_closed_forms_without_an_account_or_a_token() throws Exception {
        JsonNode answer = json(post("accuracy", "{\"tp\":12,\"fp\":10,\"fn\":4,\"tn\":29}"), 200);
        assertThat(answer.at("/sensitivity/estimate").asDouble()).isCloseTo(0.75, EXACT);
        assertThat(answer.at("/ppv/estimate").asDouble()).isCloseTo(12.0 / 22, EXACT);
        assertThat(answer.at("/npv/estimate").asDouble()).isCloseTo(29.0 / 33, EXACT);
        assertThat(answer.at("/lrPositive/estimate").asDouble()).isCloseTo(2.925, EXACT);
        assertThat(answer.at("/lrPositive/lower").asDouble()).isCloseTo(1.5977268167170078, EXACT);
        assertThat(answer.at("/lrPositive/upper").asDouble()).isCloseTo(5.3548735055846475, EXACT);
        assertThat(answer.at("/diagnosticOddsRatio/estimate").asDouble()).isCloseTo(8.7, EXACT);
        assertThat(answer.at("/corrected").asBoolean()).isFalse();
    }

    @Test
    void an_empty_margin_gives_null() throws Exception {
        JsonNode answer = json(post("accuracy", "{\"tp\":0,\"fp\":3,\"fn\":0,\"tn\":7}"), 200);
        assertThat(answer.get("sensitivity").isNull()).isTrue();
        assertThat(answer.get("lrNegative").isNull()).isTrue();
        assertThat(answer.at("/specificity/estimate").asDouble()).isCloseTo(0.7, EXACT);
        assertThat(answer.at("/corrected").asBoolean()).isTrue();
    }

    @Test
    void post_test_multiplies_independent_groups() throws Exception {
        JsonNode answer = json(post("post-test", """
                {"prior":0.3,"groups":[{"rho":0,"tests":[{"sensitivity":0.8,"specificity":0.8,"positive":true}]},
                 {"rho":0,"tests":[{"sensitivity":0.7,"specificity":0.75,"positive":false}]}]}"""), 200);
        assertThat(answer.get("likelihoodRatio").asDouble()).isCloseTo(4 * 0.4, EXACT);
        assertThat(answer.get("postTest").asDouble()).isCloseTo(0.48 / 1.18, EXACT);
    }

    @Test
    void a_group_shares_a_factor() throws Exception {
        String tests =
                "[{\"sensitivity\":0.8,\"specificity\":0.8,\"positive\":true},{\"sensitivity\":0.7,\"specificity\":0.75,\"positive\":true}]";
        JsonNode answer = json(post("group", "{\"rho\":0.4,\"tests\":" + tests + "}"), 200);
        assertThat(answer.get("givenPresent").asDouble()).isCloseTo(0.8 * 0.753621, Offset.offset(1e-6));
        assertThat(answer.get("givenAbsent").asDouble()).isCloseTo(0.2 * 0.450589, Offset.offset(1e-6));
        JsonNode apart = json(post("group", "{\"rho\":0.4,\"rhoAbsent\":0,\"tests\":" + tests + "}"), 200);
        assertThat(apart.get("givenAbsent").asDouble()).isCloseTo(0.2 * 0.25, EXACT);
        assertThat(json(post("post-test", "{\"prior\":0.3,\"groups\":[{\"rho\":0.4,\"tests\":" + tests + "}]}"), 200)
                        .get("postTest")
                        .asDouble())
                .isCloseTo(0.741414, Offset.offset(1e-6));
    }

    @Test
    void an_interval_is_drawn_from_the_counts_and_repeats_with_its_seed() throws Exception {
        String body =
                "{\"prior\":0.3,\"draws\":20000,\"seed\":11,\"tests\":[{\"tp\":45,\"fp\":12,\"fn\":15,\"tn\":68,\"positive\":true}]}";
        JsonNode answer = json(post("interval", body), 200);
        assertThat(answer.get("median").asDouble()).isCloseTo(0.68, Offset.offset(0.01));
        assertThat(answer.get("lower").asDouble())
                .isLessThan(answer.get("median").asDouble());
        assertThat(json(post("interval", body), 200)).isEqualTo(answer);
    }

    @Test
    void agreement_of_two_examiners() throws Exception {
        JsonNode answer = json(post("agreement", "{\"table\":[[20,5],[10,15]]}"), 200);
        assertThat(answer.get("observed").asDouble()).isCloseTo(0.7, EXACT);
        assertThat(answer.get("expected").asDouble()).isCloseTo(0.5, EXACT);
        assertThat(answer.at("/kappa/estimate").asDouble()).isCloseTo(0.4, EXACT);
        assertThat(answer.at("/kappa/lower").asDouble()).isCloseTo(0.15109229047666106, EXACT);
        assertThat(answer.at("/kappa/upper").asDouble()).isCloseTo(0.6489077095233388, EXACT);
        assertThat(answer.get("pabak").asDouble()).isCloseTo(0.4, EXACT);
        JsonNode open = json(post("agreement", "{\"table\":[[9,0],[0,0]]}"), 200);
        assertThat(open.get("kappa").isNull()).isTrue();
        assertThat(open.get("negativeAgreement").isNull()).isTrue();
    }

    @Test
    void accuracy_where_not_everybody_was_followed_up() throws Exception {
        JsonNode answer = json(post("verification", """
                {"verified":{"tp":40,"fp":10,"fn":5,"tn":60},"unverified":{"positive":20,"negative":90}}"""), 200);
        double present = 0.8 * 70;
        double missed = 5.0 / 65 * 155;
        assertThat(answer.at("/sensitivity/estimate").asDouble()).isCloseTo(present / (present + missed), EXACT);
        assertThat(answer.at("/uncorrected/sensitivity").asDouble()).isCloseTo(40.0 / 45, EXACT);
        assertThat(answer.get("prevalence").asDouble()).isCloseTo((present + missed) / 225, EXACT);
    }

    @Test
    void a_change_and_its_noise_or_a_course_of_visits() throws Exception {
        JsonNode noise = json(post("change", "{\"reliability\":0.91,\"sd\":10,\"change\":9}"), 200);
        assertThat(noise.get("sem").asDouble()).isCloseTo(3, EXACT);
        assertThat(noise.get("mdc95").asDouble()).isCloseTo(1.96 * Math.sqrt(2) * 3, EXACT);
        assertThat(noise.get("beyondNoise").asBoolean()).isTrue();
        assertThat(noise.has("slope")).isFalse();
        JsonNode course =
                json(post("change", "{\"days\":[0,7,7,14,21,28,35],\"millimetres\":[12,12,15,15,18,17,22]}"), 200);
        assertThat(course.get("slope").asDouble()).isCloseTo(0.26785714285714285, EXACT);
        assertThat(course.get("lower").asDouble()).isCloseTo(0.09523809523809523, EXACT);
        assertThat(course.get("upper").asDouble()).isCloseTo(0.42857142857142855, EXACT);
    }

    @Test
    void no_groups_leave_the_prior() throws Exception {
        assertThat(json(post("post-test", "{\"prior\":0.3,\"groups\":[]}"), 200)
                        .get("postTest")
                        .asDouble())
                .isEqualTo(0.3);
    }

    @ParameterizedTest(name = "{0} {1} -> {2}")
    @CsvSource(delimiter = '|', textBlock = """
            accuracy  | {"tp":1,"fp":2,"fn":3}                | tn                                  | 0 to 1000000000
            accuracy  | {"tp":-1,"fp":2,"fn":3,"tn":4}        | tp                                  | 0 to 1000000000
            accuracy  | {"tp":1.5,"fp":2,"fn":3,"tn":4}       | tp                                  | a whole number
            accuracy  | {"tp":"1","fp":2,"fn":3,"tn":4}       | tp                                  | a whole number
            accuracy  | {"tp":0,"fp":0,"fn":0,"tn":0}         | tp                                  | at least one patient
            accuracy  | {"tp":1,                              | body                                | JSON
            post-test | {"groups":[]}                         | prior                               | between 0 and 1
            post-test | {"prior":1,"groups":[]}               | prior                               | between 0 and 1
            post-test | {"prior":0.3}                         | groups                              | a list of groups
            group     | {"tests":[]}                          | rho                                 | 0 to 0.95
            group     | {"rho":0.4,"tests":[]}                | tests                               | at least one test
            group     | {"rho":0.4,"rhoAbsent":-1,"tests":[{"sensitivity":0.8,"specificity":0.8,"positive":true}]} | rhoAbsent | 0 to 0.95
            group     | {"rho":0.4,"tests":[{"sensitivity":0.8,"specificity":1,"positive":true}]} | tests[0].specificity | below 1
            interval  | {"prior":0.3,"draws":10,"seed":1,"tests":[]} | draws                        | 100 to 200000
            interval  | {"prior":0.3,"draws":1000,"tests":[]} | seed                                | a whole number
            interval  | {"prior":0.3,"draws":1000,"seed":1,"tests":[{"tp":0,"fp":1,"fn":0,"tn":1,"positive":true}]} | tests[0].tp | at least one patient with
            interval  | {"prior":0.3,"draws":1000,"seed":1,"tests":[{"tp":1,"fp":-1,"fn":0,"tn":1,"positive":true}]} | tests[0].fp | 0 to 1000000000
            agreement | {"table":[[1,2]]}                     | table                               | two rows of two counts
            agreement | {"table":[[0,0],[0,0]]}               | table                               | at least one patient
            agreement | {"table":[[1,-2],[3,4]]}              | table[0][1]                         | 0 to 1000000
            verification | {"verified":{"tp":0,"fp":0,"fn":1,"tn":2},"unverified":{"positive":3,"negative":4}} | verified | at least one
            verification | {"verified":{"tp":1,"fp":0,"fn":1},"unverified":{"positive":3,"negative":4}} | verified.tn | 0 to 1000000
            change    | {"reliability":1.4,"sd":3,"change":2} | reliability                         | 0 to 1
            change    | {"reliability":0.4,"change":2}        | sd                                  | reliability, sd and change
            change    | {"days":[0,7]}                        | millimetres                         | one number a visit
            change    | {"days":[7,7],"millimetres":[1,2]}    | days                                | at least two days
            post-test | {"prior":0.3,"groups":[{"rho":2,"tests":[]}]}    | groups[0].rho            | 0 to 0.95
            post-test | {"prior":0.3,"groups":[{"rho":0,"tests":[{"sensitivity":1.2,"specificity":0.5,"positive":true}]}]} | groups[0].tests[0].sensitivity | 0 to 1
            post-test | {"prior":0.3,"groups":[{"rho":0,"tests":[{"sensitivity":0.2,"specificity":1,"positive":true}]}]}   | groups[0].tests[0].specificity | below 1
            post-test | {"prior":0.3,"groups":[{"rho":0,"tests":[{"sensitivity":0.2,"specificity":0.5,"positive":"yes"}]}]} | groups[0].tests[0].positive   | true or false
            """)
    void bad_input_names_the_field_and_what_is_allowed(String calculator, String body, String field, String allowed)
            throws Exception {
        MvcTestResult result = post(calculator, body);
        assertThat(result.getResponse().getContentType()).startsWith("application/problem+json");
        JsonNode problem = json(result, 400);
        assertThat(problem.get("field").asString()).isEqualTo(field);
        assertThat(problem.get("detail").asString()).contains(allowed);
        assertThat(problem.at("/errors/0/field").asString()).isEqualTo(field);
    }

    @Test
    void a_body_larger_than_any_honest_request_is_refused() {
        assertThat(post("post-test", " ".repeat(600 * 1024))).hasStatus(413);
    }

    private MvcTestResult post(String calculator, String body) {
        return server.post()
                .uri("/api/calculate/" + calculator)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .exchange();
    }

    private static JsonNode json(MvcTestResult result, int status) throws Exception {
        assertThat(result).hasStatus(status);
        return JsonMapper.shared().readTree(result.getResponse().getContentAsString());
    }
}
