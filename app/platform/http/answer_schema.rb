# frozen_string_literal: true

module App
  # What each address answers in JSON, of which the front end's types are made. Specs hold every answer against it.
  module AnswerSchema
    SCHEMAS = RouteSchemas.new(File.join(TileLoom::ROOT, "app/answers.json")) { |schema| closed(schema) }

    module_function

    def routes = SCHEMAS.routes

    def schemer(route) = SCHEMAS.schemer(route)

    # What of an answer that is no refusal does not fit, as [JSON pointer, what is wrong] each. Members that are not
    # named do not fit.
    def wrong(route, body)
      schemer(route).validate(body).map { |error| [error["data_pointer"], error["error"]] }
    end

    # Nothing but what is named, where anything is.
    def closed(schema)
      case schema
      when Hash
        own = schema["type"] == "object" && schema["properties"] && !schema.key?("additionalProperties")
        schema.transform_values { |part| closed(part) }.merge(own ? {"additionalProperties" => false} : {})
      when Array
        schema.map { |part| closed(part) }
      else
        schema
      end
    end
  end
end
