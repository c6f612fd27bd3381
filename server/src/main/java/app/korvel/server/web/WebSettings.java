package app.korvel.server.web;

import java.time.Duration;
import java.util.List;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.converter.Converter;
import org.springframework.core.convert.converter.ConverterFactory;
import org.springframework.format.FormatterRegistry;
import org.springframework.http.CacheControl;
import org.springframework.http.converter.HttpMessageConverters;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Words of enums in addresses, and the interface's own files. */
@Configuration(proxyBeanMethods = false)
class WebSettings implements WebMvcConfigurer {

  /** The pages of the interface: each is served by its one document. */
  private static final String[] PAGES = {
    "/",
    "/today",
    "/clients",
    "/clients/**",
    "/calendar",
    "/log",
    "/floor",
    "/floor/**",
    "/field-tests/**",
    "/compare",
    "/cards",
    "/calculators",
    "/calculators/**",
    "/desk",
    "/desk/**",
    "/practice",
    "/practice/**",
    "/studio",
    "/studio/**",
    "/methods"
  };

  @Override
  public void configureMessageConverters(HttpMessageConverters.ServerBuilder builder) {
    builder.addCustomConverter(new WrittenJson.Converter());
  }

  @Override
  public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
    resolvers.add(new Actors());
  }

  @Override
  public void addFormatters(FormatterRegistry registry) {
    registry.addConverterFactory(new WordsToEnums());
  }

  @Override
  public void addViewControllers(ViewControllerRegistry registry) {
    for (String page : PAGES) {
      registry.addViewController(page).setViewName("forward:/index.html");
    }
  }

  @Override
  public void addResourceHandlers(ResourceHandlerRegistry registry) {
    // Files under assets carry a hash of their content in their name; the document does not.
    registry
        .addResourceHandler("/assets/**")
        .addResourceLocations("classpath:/static/assets/")
        .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).cachePublic().immutable());
    registry
        .addResourceHandler("/index.html", "/favicon.svg")
        .addResourceLocations("classpath:/static/")
        .setCacheControl(CacheControl.noCache());
    registry
        .addResourceHandler("/api/openapi.json")
        .addResourceLocations("classpath:/contract/")
        .setCacheControl(CacheControl.noCache());
  }

  private static final class WordsToEnums implements ConverterFactory<String, Enum<?>> {
    @Override
    public <T extends Enum<?>> Converter<String, T> getConverter(Class<T> type) {
      return word -> Words.find(type, word);
    }
  }
}
