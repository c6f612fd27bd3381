package app.korvel.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class SampleTest {

  @Test
  void quantilesByNearestRank() {
    double[] values = IntStream.rangeClosed(1, 100).map(i -> 101 - i).asDoubleStream().toArray();
    Sample sample = new Sample("a hundred", "ms", values);
    assertThat(sample.median()).isEqualTo(50);
    assertThat(sample.quantile(0.99)).isEqualTo(99);
    assertThat(sample.quantile(1)).isEqualTo(100);
    assertThat(sample.line()).contains("a hundred", "50.000", "n = 100");
    assertThat(values[0]).isEqualTo(100);
  }

  @Test
  void oneValueIsEveryQuantile() {
    Sample sample = new Sample("one", "ms", new double[] {7});
    assertThat(sample.median()).isEqualTo(7);
    assertThat(sample.quantile(0.99)).isEqualTo(7);
  }
}
