package lexicor.server.page;

import java.time.Duration;
import org.springframework.context.annotation.Configuration;
import org.springframework.http.CacheControl;
import org.springframework.web.servlet.config.annotation.ResourceHandlerRegistry;
import org.springframework.web.servlet.config.annotation.ViewControllerRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** Every view has an address of its own, and all of them are the one page. */
@Configuration
class PageRoutes implements WebMvcConfigurer {

    @Override
    public void addViewControllers(ViewControllerRegistry views) {
        for (String route : new String[] {
            "/",
            "/{view:[a-z-]+}",
            "/examinations/{id}",
            "/examinations/{id}/{view}",
            "/cases/{id}",
            "/cases/{id}/course/{complaint}",
            "/outcomes/{view}",
            "/outcomes/{view}/{condition}",
            "/practice/{view}",
            "/practice/{view}/{id}",
            "/setup/{view}",
            "/library/{kind}",
            "/library/{kind}/{id}",
            "/library/{kind}/{id}/{action}"
        }) {
            views.addViewController(route).setViewName("forward:/index.html");
        }
    }

    @Override
    public void addResourceHandlers(ResourceHandlerRegistry resources) {
        resources
                .addResourceHandler("/assets/**")
                .addResourceLocations("classpath:/META-INF/resources/assets/")
                .setCacheControl(CacheControl.maxAge(Duration.ofDays(365)).immutable());
    }
}
