# frozen_string_literal: true

module App
  # What each address answers in JSON, of which the front end's types are made. Specs hold every answer against it.
  module AnswerSchema
    FILE = File.join(TileLoom::ROOT, "app/answers.json")

    module_function

    def all = @all ||= JSON.parse(File.read(FILE))

    # Routes as Sinatra names them: "GET /api/books/:book_id".
    def routes = all["routes"].keys

    # What of an answer that is no refusal does not fit, as [JSON pointer, what is wrong] each. Members that are not
    # named do not fit.
    def wrong(route, body)
      schemer(route).validate(body).map { |error| [error["data_pointer"], error["error"]] }
    end

    def schemer(route)
      @schemers ||= {}
      @schemers[route] ||= TileLoom::Document::Schema.compiled(
        closed(all["routes"].fetch(route)).merge("$defs" => closed(all["$defs"]))
      )
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
