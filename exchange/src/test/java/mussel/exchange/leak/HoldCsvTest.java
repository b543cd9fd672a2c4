package mussel.exchange.leak;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Random;
import mussel.core.leak.LeakMode;
import mussel.core.leak.LeakReading;
import mussel.exchange.leak.HoldCsv.Imported;
import mussel.exchange.record.Read;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class HoldCsvTest {
    private static final String GOOD =
            "time (s),pressure (kPa),temperature (°C)\n0,68.0,20.0\n30,67.4,20.1\n60,67,20.1\n90,66.4,20.2\n";

    private static Read<Imported> read(String text) {
        return HoldCsv.read(text.getBytes(StandardCharsets.UTF_8));
    }

    private static Imported good(String text) {
        Read<Imported> read = read(text);
        assertThat(read.problems()).isEmpty();
        return read.value().orElseThrow();
    }

    private static String refusal(String text) {
        Read<Imported> read = read(text);
        assertThat(read.value()).isEmpty();
        return read.problems().get(0).problem();
    }

    @Test
    void aPlainFileIsRead() {
        Imported hold = good(GOOD);
        assertThat(hold.mode()).isEqualTo(LeakMode.PRESSURE);
        assertThat(hold.readings()).hasSize(4).extracting(LeakReading::tS).containsExactly(0.0, 30.0, 60.0, 90.0);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "\ufefftime (s);pressure (kPa);temperature (°C)\n0;68,0;20,0\n30;67,4;20,1\n60;67;20,1\n90;66,4;20,2\n",
                "time (s)\tpressure (kPa)\ttemperature (°C)\r\n0\t68.0\t20.0\r\n30\t67.4\t20.1\r\n\r\n60\t67\t20.1\r\n90\t66.4\t20.2",
                "time [s],pressure [kPa],temp [°C]\n\"0\",\"68,0\",\"20,0\"\n30,\"67,4\",20.1\n60,67,20.1\n90,66.4,20.2\n",
                "remark,t_s,gauge_kPa,case_°C\nx,0,68.0,20.0\n,30,67.4,20.1\n\"a\nb\",60,67,20.1\n,90,66.4,20.2\n",
                "time (min),pressure (kPa),temperature (°C)\n0,68.0,20.0\n0.5,67.4,20.1\n1,67,20.1\n1:30,66.4,20.2\n"
            })
    void otherSeparatorsDecimalCommasMarksAndUnitsAreRead(String text) {
        List<LeakReading> readings = good(text).readings();
        List<LeakReading> plain = good(GOOD).readings();
        assertThat(readings).hasSize(4);
        for (int i = 0; i < 4; i++) {
            assertThat(readings.get(i).tS()).isCloseTo(plain.get(i).tS(), within(1e-9));
            assertThat(readings.get(i).gaugeKpa()).isCloseTo(plain.get(i).gaugeKpa(), within(1e-9));
            assertThat(readings.get(i).tempC()).isCloseTo(plain.get(i).tempC(), within(1e-9));
        }
    }

    @Test
    void unitsOfTheHeaderAreConverted() {
        Imported hold = good("time (h),pressure (psi),temperature (°F)\n0,-7,68\n0.01,-7,68\n0.02,-7,68\n0.03,-7,68\n");
        assertThat(hold.mode()).isEqualTo(LeakMode.VACUUM);
        assertThat(hold.readings().get(1).tS()).isCloseTo(36, within(1e-9));
        assertThat(hold.readings().get(1).gaugeKpa()).isCloseTo(-48.263, within(1e-3));
        assertThat(hold.readings().get(1).tempC()).isCloseTo(20, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "60,67,20.1 | 20,67,20.1 | line 4 goes back in time",
                "60,67,20.1 | 60,,20.1 | line 4 has no pressure",
                "60,67,20.1 | 60,67 | line 4 has no temperature",
                "60,67,20.1 | 60,0,20.1 | line 4 has a gauge reading of zero",
                "60,67,20.1 | 60,-67,20.1 | line 4 changes sign",
                "60,67,20.1 | 60,abc,20.1 | line 4 has “abc” instead of the pressure",
                "60,67,20.1 | 60,NaN,20.1 | line 4 has “NaN”",
                "60,67,20.1 | 60,6700,20.1 | line 4 has values no leak test shows",
                "pressure (kPa) | pressure (lb) | line 1 names the column “pressure (lb)” without a unit",
                "pressure (kPa) | pressure | line 1 names the column “pressure” without a unit",
                "temperature (°C) | remark | line 1 names no column for the temp"
            })
    void whatCannotBeReadIsRefusedWithItsLine(String was, String is, String says) {
        assertThat(refusal(GOOD.replace(was, is))).startsWith(says);
    }

    @ParameterizedTest
    @ValueSource(strings = {"(", "[", "_", "()", ",", "((,_("})
    void aHeadOfSignsOnlyNamesNoColumn(String head) {
        assertThat(refusal(head + "\n1,2,3\n")).contains("names no column for the time");
    }

    @Test
    void oneReadingIsNoHold() {
        assertThat(refusal("time (s),pressure (kPa),temperature (°C)\n0,68,20\n"))
                .contains("1 readings", "at least 2");
        assertThat(refusal("")).contains("empty");
    }

    @Test
    void aMillionLinesAreRefusedAtTheFirstTooMany() {
        StringBuilder text = new StringBuilder("t (s),gauge (kPa),temp (°C)\n");
        for (int i = 0; i < 1_000_000; i++) {
            text.append(i).append(",5,9\n");
        }
        assertThat(refusal(text.toString())).startsWith("line 100002 is one too many");
        assertThat(HoldCsv.read(new byte[50 * 1024 * 1024]).problems().get(0).problem())
                .contains("50 MB");
    }

    @Test
    void otherEncodingsAreRefused() {
        byte[] latin = GOOD.getBytes(Charset.forName("ISO-8859-1"));
        assertThat(HoldCsv.read(latin).problems().get(0).problem()).contains("UTF-8");
    }

    @Property(tries = 300)
    void mutatedFilesAreReadRightOrRefusedNeverHalf(@ForAll long seed) {
        Random random = new Random(seed);
        byte[] bytes = GOOD.repeat(1).getBytes(StandardCharsets.UTF_8);
        for (int i = 0; i < 1 + random.nextInt(4); i++) {
            bytes[random.nextInt(bytes.length)] = (byte) random.nextInt(128);
        }
        Read<Imported> read = HoldCsv.read(bytes);
        assertThat(read.value().isPresent()).isEqualTo(read.problems().isEmpty());
        read.value().ifPresent(hold -> {
            for (int i = 1; i < hold.readings().size(); i++) {
                assertThat(hold.readings().get(i).tS())
                        .isGreaterThan(hold.readings().get(i - 1).tS());
            }
        });
        assertThat(read.problems()).allMatch(p -> !p.problem().contains("Exception"));
    }
}
