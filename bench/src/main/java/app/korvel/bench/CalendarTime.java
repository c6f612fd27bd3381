package app.korvel.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import org.openqa.selenium.chrome.ChromeDriver;

/** A month of a studio of sixty: from the click that asks for it until it is drawn. */
final class CalendarTime {
  private static final int ROUNDS = 20;

  /** Sixty people with a programme of five days a week, the weeks so far logged. */
  private static final String SEED =
      """
      const done = arguments[0]
      const send = async (method, path, body) => {
        const answer = await fetch('/api' + path, {
          method,
          headers: { 'Content-Type': 'application/json' },
          body: JSON.stringify(body),
        })
        if (!answer.ok) throw new Error(path + ' ' + (await answer.text()))
        return answer.json()
      }
      const iso = (date) => date.toISOString().slice(0, 10)
      const later = (days) => {
        const date = new Date(today + 'T00:00:00Z')
        date.setUTCDate(date.getUTCDate() + days)
        return iso(date)
      }
      let today
      const all = async () => {
        today = (await (await fetch('/api/studio')).json()).today
        const back = ((new Date(today + 'T00:00:00Z').getUTCDay() + 6) % 7) + 35
        for (let n = 0; n < 60; n++) {
          const { id } = await send('POST', '/clients', {
            name: 'Number ' + n, note: '', birthDate: '1980-02-03', sex: 'not-given',
          })
          await send('PUT', `/clients/${id}/screening`, {
            version: 0, answers: { activity: 'some' },
          })
          await send('POST', `/clients/${id}/readings`, {
            source: 'count', beats: 64, windowSeconds: 60, posture: 'seated', minutesRested: 5,
            disturbances: [],
          })
          await send('POST', `/clients/${id}/prescriptions`, {
            goal: 'general-fitness', approach: 'guideline', lowPercent: 40, highPercent: 50,
            minutes: 30, days: 5, type: 'steady', mode: 'run',
          })
          const programme = await send('PUT', `/clients/${id}/programme`, {
            version: 0,
            plan: {
              startsOn: later(-back), endsOn: later(83 - back), goalMinutes: 40, goalDays: 5,
              time: '18:30',
              weekdays: ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday'],
            },
          })
          await send('POST', '/session-logs', {
            logs: programme.sessions
              .filter(({ date }) => date < today)
              .map(({ number, date }) => ({
                clientId: id, number, on: date, done: number % 9 > 0,
                rpe: number % 9 > 0 ? 12 : null,
              })),
          })
        }
      }
      all().then(() => done('done'), (fault) => done(String(fault)))
      """;

  private static final String TURN =
      """
      const done = arguments[0]
      const from = performance.now()
      const link = document.querySelector('nav a[href="/calendar"]')
      link.click()
      const look = () =>
        document.querySelectorAll('.grid.month button.session').length > 20
          ? requestAnimationFrame(() => setTimeout(() => done(performance.now() - from)))
          : requestAnimationFrame(look)
      look()
      """;

  /** The same days from the server alone. */
  private static final String ASK =
      """
      const done = arguments[0]
      const last = performance.getEntriesByType('resource')
        .filter((each) => each.name.includes('/api/calendar?')).at(-1)
      const from = performance.now()
      fetch(last.name).then((answer) => answer.json()).then(({ sessions }) =>
        done([sessions.length, performance.now() - from]))
      """;

  void run() throws IOException {
    Path data = Files.createTempDirectory("korvel-month-");
    try (KorvelProcess server = KorvelProcess.start(data)) {
      ChromeDriver driver = HeadlessBrowser.start();
      try {
        driver.manage().timeouts().scriptTimeout(Duration.ofMinutes(5));
        driver.get(server.address() + "/methods");
        Object seeded = driver.executeAsyncScript(SEED);
        if (!"done".equals(seeded)) {
          throw new IOException(String.valueOf(seeded));
        }
        double[] navigated = new double[ROUNDS];
        double[] first = new double[1];
        for (int round = -1; round < ROUNDS; round++) {
          driver.get(server.address() + "/practice");
          driver.executeAsyncScript(
              "const d = arguments[0];"
                  + " const look = () => document.querySelector('h1') ? setTimeout(d, 300)"
                  + " : requestAnimationFrame(look); look()");
          double took = ((Number) driver.executeAsyncScript(TURN)).doubleValue();
          if (round < 0) {
            first[0] = took;
          } else {
            navigated[round] = took;
          }
        }
        double[] asked = new double[ROUNDS];
        Number sessions = 0;
        for (int round = 0; round < ROUNDS; round++) {
          @SuppressWarnings("unchecked")
          List<Number> answer = (List<Number>) driver.executeAsyncScript(ASK);
          sessions = answer.get(0);
          asked[round] = answer.get(1).doubleValue();
        }
        System.out.println("sessions in the month that is drawn: " + sessions);
        System.out.println(new Sample("the first month after the start", "ms", first).line());
        System.out.println(
            new Sample("a month of 60 clients, from the click", "ms", navigated).line());
        System.out.println(new Sample("of it, the server's answer", "ms", asked).line());
      } finally {
        driver.quit();
      }
    }
  }
}
