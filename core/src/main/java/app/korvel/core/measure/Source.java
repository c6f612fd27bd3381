package app.korvel.core.measure;

/**
 * Where a rule comes from: a publication by author, journal and year, or practice.
 *
 * @param citation as it is shown, for example {@code Tanaka, Monahan & Seals, J Am Coll Cardiol
 *     2001}
 */
public record Source(String citation) {
  public static final Source PRACTICE = new Source("Common practice among instructors");
  public static final Source KORVEL = new Source("Korvel's own rule");
  public static final Source STUDIO = new Source("This studio's own");
  public static final Source ARITHMETIC = new Source("Arithmetic: one beat either way");

  public static final Source ACSM_SCREENING = of("Riebe et al.", "Med Sci Sports Exerc", 2015);
  public static final Source AINSWORTH = of("Ainsworth et al.", "Med Sci Sports Exerc", 2011);
  public static final Source BLAND = of("Bland & Altman", "Lancet", 1986);
  public static final Source BORG = of("Borg", "Med Sci Sports Exerc", 1982);
  public static final Source BRAWNER = of("Brawner et al.", "Am Heart J", 2004);
  public static final Source BRUCE = of("Bruce, Kusumi & Hosmer", "Am Heart J", 1973);
  public static final Source COLE = of("Cole et al.", "N Engl J Med", 1999);
  public static final Source EXHAUSTION =
      new Source("Men: Foster et al., Am Heart J 1984; women: Pollock et al., Am Heart J 1982");
  public static final Source FOX =
      new Source("Fox, Naughton & Haskell, Ann Clin Res 1971; critique: Robergs & Landwehr 2002");
  public static final Source GARBER = of("Garber et al.", "Med Sci Sports Exerc", 2011);
  public static final Source GELLISH = of("Gellish et al.", "Med Sci Sports Exerc", 2007);
  public static final Source GLASS = new Source("Glass & Dwyer, metabolic calculations, 2007");
  public static final Source GULATI = of("Gulati et al.", "Circulation", 2010);
  public static final Source KARVONEN = new Source("Karvonen et al. 1957");
  public static final Source KETEYIAN = of("Keteyian et al.", "Med Sci Sports Exerc", 2012);
  public static final Source KLINE = of("Kline et al.", "Med Sci Sports Exerc", 1987);
  public static final Source LACH = of("Lach et al.", "Front Physiol", 2021);
  public static final Source MCARDLE = of("McArdle et al.", "Med Sci Sports", 1972);
  public static final Source NES = of("Nes et al.", "Scand J Med Sci Sports", 2013);
  public static final Source SHETLER = of("Shetler et al.", "J Am Coll Cardiol", 2001);
  public static final Source SWAIN = new Source("Swain & Leutholtz 1997");
  public static final Source TALK =
      new Source("Foster et al. 2008; Persinger et al. 2004; Reed & Pipe 2014");
  public static final Source TANAKA = of("Tanaka, Monahan & Seals", "J Am Coll Cardiol", 2001);
  public static final Source WATANABE = of("Watanabe et al.", "Circulation", 2001);
  public static final Source WHO = new Source("World Health Organization, guidelines 2020");

  /** A journal article. */
  public static Source of(String authors, String journal, int year) {
    return new Source(authors + ", " + journal + " " + year);
  }
}
