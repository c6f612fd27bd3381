package app.korvel.server.client;

import app.korvel.core.measure.InvalidValueException;
import app.korvel.core.measure.InvalidValueException.Fault;
import app.korvel.core.screening.Client;
import app.korvel.core.screening.Sex;
import app.korvel.exchange.PeopleList;
import app.korvel.exchange.PeopleList.DateOrder;
import app.korvel.server.client.ClientViews.ClientView;
import app.korvel.server.client.ClientViews.DetailsRequest;
import app.korvel.studio.Actor;
import app.korvel.studio.Studio;
import app.korvel.studio.client.AddClients;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Several clients at once, from a list that is pasted or read from a file. */
@RestController
@RequestMapping("/api/clients/list")
class PeopleListController {
  private final Studio studio;

  PeopleListController(Studio studio) {
    this.studio = studio;
  }

  /** What a list comes to; nobody is added. */
  @PostMapping("/read")
  ReadList read(@RequestBody ListRequest request) {
    PeopleList list = PeopleList.read(request.text(), Optional.ofNullable(request.dateOrder()));
    Set<String> known = new HashSet<>();
    for (Client client : studio.store().clients().find("", false)) {
      known.add(key(client.details().name(), client.details().birthDate()));
    }
    LocalDate today = studio.today();
    List<ListedPerson> people = new ArrayList<>();
    for (PeopleList.Row row : list.rows()) {
      boolean again = row.birthDate().filter(date -> !known.add(key(row.name(), date))).isPresent();
      people.add(ListedPerson.of(row, again, today));
    }
    return new ReadList(people, list.datesUnclear());
  }

  private static String key(String name, LocalDate birthDate) {
    return name.strip().toLowerCase(Locale.ROOT) + " " + birthDate;
  }

  /** Adds all of them, or nobody. */
  @PostMapping
  @ResponseStatus(HttpStatus.CREATED)
  AddedList add(Actor who, @RequestBody AddListRequest request) {
    LocalDate today = studio.today();
    List<Client.Details> people = new ArrayList<>();
    List<Fault> faults = new ArrayList<>();
    for (int at = 0; at < request.clients().size(); at++) {
      try {
        people.add(request.clients().get(at).details(today));
      } catch (InvalidValueException e) {
        for (Fault fault : e.faults()) {
          faults.add(
              new Fault("clients[" + at + "]." + fault.field(), fault.message(), fault.accepted()));
        }
      }
    }
    if (!faults.isEmpty()) {
      throw InvalidValueException.of(faults);
    }
    return new AddedList(
        new AddClients(studio)
            .by(who, people).stream().map(each -> ClientView.of(each, today)).toList());
  }

  /**
   * A list as it was pasted.
   *
   * @param dateOrder how dates like 3/4/1980 are written; null where it is to be seen from the list
   */
  record ListRequest(String text, @Nullable DateOrder dateOrder) {}

  /**
   * What a list comes to.
   *
   * @param datesUnclear whether it is to be asked how its dates are written
   */
  record ReadList(List<ListedPerson> people, boolean datesUnclear) {}

  /**
   * One person of a list.
   *
   * @param line in the list, from 1
   * @param birthDate null where none can be read
   * @param birthDateWritten as written
   * @param already whether a client has that name and birth date, or somebody above in the list
   * @param faults what is to be corrected before they can be added
   */
  record ListedPerson(
      int line,
      String name,
      @Nullable LocalDate birthDate,
      String birthDateWritten,
      Sex sex,
      String note,
      boolean already,
      List<Fault> faults) {
    static ListedPerson of(PeopleList.Row row, boolean already, LocalDate today) {
      return new ListedPerson(
          row.line(),
          row.name(),
          row.birthDate().orElse(null),
          row.birthDateWritten(),
          row.sex(),
          row.note(),
          already,
          faults(row, today));
    }

    private static List<Fault> faults(PeopleList.Row row, LocalDate today) {
      List<Fault> faults = new ArrayList<>();
      if (row.birthDate().isEmpty()) {
        faults.add(
            new Fault(
                "birthDate",
                row.birthDateWritten().isEmpty()
                    ? "is missing"
                    : "“" + row.birthDateWritten() + "” is no date",
                "a date with the year in four digits"));
      }
      try {
        // Any birth date does where there is none: the other faults are to be told as well.
        Client.Details.of(
            row.name(), row.note(), row.birthDate().orElse(today.minusYears(30)), row.sex(), today);
      } catch (InvalidValueException e) {
        faults.addAll(e.faults());
      }
      return faults;
    }
  }

  record AddListRequest(List<DetailsRequest> clients) {}

  record AddedList(List<ClientView> clients) {}
}
