package io.causticon.web.shared;

import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.convert.ConversionService;
import org.springframework.web.bind.support.ConfigurableWebBindingInitializer;

/**
 * Fields of a form are components of a record, and nothing else of a request is put anywhere. Without this each field
 * that no record asks for is looked for among the setters that no record has, by an exception thrown and caught for
 * every one of them.
 */
@Configuration(proxyBeanMethods = false)
class FormBinding {

    @Bean
    static ConfigurableWebBindingInitializer components(
            @Qualifier("mvcConversionService") ConversionService conversions) {
        ConfigurableWebBindingInitializer binding = new ConfigurableWebBindingInitializer();
        binding.setConversionService(conversions);
        binding.setDeclarativeBinding(true);
        return binding;
    }
}
