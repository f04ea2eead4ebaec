# frozen_string_literal: true

require "json"
require "json_schemer"

module TileLoom
  module Document
    # The published JSON Schema of the book document, and its findings in sentences.
    module Schema
      MOST_FINDINGS = 50

      module_function

      # The schema itself, made of what the values declare.
      def document
        @document ||=
          begin
            definitions = {}
            body = Contents.record.body(definitions)
            # A style of scale bars travels as a file of its own.
            Bar::Style.type.schema(definitions)
            {
              "$schema" => "https://json-schema.org/draft/2020-12/schema",
              "$id" => "https://tileloom.example/book.schema.json",
              "title" => "Tile Loom book, version #{Contents::VERSION}",
              "description" => ABOUT,
              **body,
              "$defs" => definitions
            }
          end
      end

      ABOUT =
        "A map book: ground (reference and layers), the layout of its sheets, and the grid index. Lengths on paper " \
          "end in _mm (type in _pt); ground lengths are text with a unit, such as \"50 m\"; scale is the denominator."

      # As it is published.
      def text = JSON.pretty_generate(document) + "\n"

      # Refusal findings, each with its path; empty when the document fits. known: a document that fits, or nil: what
      # this one has in common with it need not be looked at.
      def findings(document, known: nil)
        return [Refusal.new("book.no_object", at: "/")] unless document.is_a?(Hash)
        return [] if known && fits_beside?(document, known)
        too_long = list_schemer.validate(document).select { |error| error["type"] == "maxItems" }
        found = too_long.any? ? too_long : schemer.validate(document).first(MOST_FINDINGS)
        refusals(found) { |error| path(error) }
      end

      # Names of the members whose lists have entries with ids that may be missing.
      def identified_lists = lists_of_objects.select { |_, list| list["$comment"] }.map(&:first).uniq.sort

      # [name, schema] of each member that is a list of objects without ids of their own.
      def lists_of_objects(schema = document, name = nil)
        case schema
        when Hash
          own = (schema["type"] == "array" && object_without_id?(schema["items"])) ? [[name, schema]] : []
          own +
            schema.flat_map do |key, part|
              inner = (key == "properties") ? part.flat_map { |member, of| lists_of_objects(of, member) } : nil
              inner || lists_of_objects(part, name)
            end
        when Array
          schema.flat_map { |part| lists_of_objects(part, name) }
        else
          []
        end
      end

      def object_without_id?(items)
        items = resolved(items || {})
        items["type"] == "object" && !Array(items["required"]).include?("id")
      end

      # Does all fit that a document does not have in common with one that fits? Where this says no, all of it is looked
      # at, so that findings stand at their places.
      def fits_beside?(given, known)
        return false unless (document["required"] - given.keys).empty?
        others = given.reject { |name, value| value.equal?(known[name]) }
        others.all? { |name, value| !longer?(value, known[name]) } &&
          partial_schemer.valid?(others.to_h { |name, value| [name, without_common(value, known[name])] })
      end

      # Lists of objects without entries that the known one has, too. What a schema says of a list but its length, it
      # says of single entries.
      def without_common(value, known)
        case value
        when Hash
          return value unless known.is_a?(Hash)
          value.to_h { |name, part| [name, without_common(part, known[name])] }
        when Array
          return value unless known.is_a?(Array) && value.all?(Hash)
          own = known.to_h { |entry| [entry.object_id, true] }
          value.reject { |entry| own[entry.object_id] }
        else
          value
        end
      end

      # Is any list longer than it was?
      def longer?(value, known)
        case value
        when Hash
          known.is_a?(Hash) && value.any? { |name, part| !part.equal?(known[name]) && longer?(part, known[name]) }
        when Array
          known.is_a?(Array) && value.length > known.length
        else
          false
        end
      end

      def partial_schemer = @partial_schemer ||= compiled(document.except("required"))

      # Raises the first finding, if there is one.
      def demand(document)
        finding = findings(document).first
        raise finding if finding
      end

      # Of a part of the document alone, such as one coordinate grid. name: of the part in the schema.
      def part_findings(name, part, path:)
        @parts ||= {}
        @parts[name] ||= compiled({"$ref" => "#/$defs/#{name}", "$defs" => definitions})
        refusals(@parts[name].validate(part).first(MOST_FINDINGS)) { |error| "#{path}#{error["data_pointer"]}" }
      end

      # Refusals of errors, each once; the block gives where one is. Of what fits none of several alternatives, that one
      # is told which it comes nearest to: the one of its own kind, or all kinds that it could be of.
      def refusals(errors)
        kinds = ->(error) { [*ARTICLES.keys, "const", "enum"].include?(error["type"]) }
        apt =
          errors.reject do |error|
            at = error["data_pointer"]
            kinds.call(error) &&
              errors.any? do |other|
                there = other["data_pointer"]
                there.start_with?("#{at}/") || (there == at && !kinds.call(other))
              end
          end
        apt
          .group_by { |error| [error["data_pointer"], ARTICLES.key?(error["type"])] }
          .flat_map do |(_, kind), list|
            wanted = kind ? list.map { |error| error["type"] }.uniq : []
            if wanted.length > 1
              [kinds_refused(list.first, wanted, at: yield(list.first))]
            else
              list.map { |error| refusal(error, at: yield(error)) }
            end
          end
          .uniq { |finding| [finding.pointer, finding.message] }
      end

      def kinds_refused(error, types, at:)
        name = error["data_pointer"].split("/").last || "document"
        wanted = types.map { |type| ARTICLES[type] }.join(" or ")
        Refusal.new("schema.type", name: name, given: given(error["data"]), wanted: wanted, at: at)
      end

      def definition(name) = definitions.fetch(name)

      # Is what stands at a path within a part of the document a text? name: of the part; path: names of members; kind:
      # of what is one of several kinds on the way.
      def text_at?(name, path, kind)
        found = path.reduce(definition(name)) { |schema, member| member(schema, member, kind) || (return false) }
        found = resolved(found)
        Array(found["type"]).include?("string") || (found["enum"] || []).any?(String)
      end

      def member(schema, name, kind)
        schema = resolved(schema)
        own = schema["allOf"].to_a.find { |part| part.dig("if", "properties", "kind", "const") == kind }
        schema = resolved(own["then"]) if own
        schema.dig("properties", name)
      end

      def resolved(schema) = schema["$ref"] ? definition(schema["$ref"].split("/").last) : schema

      def definitions = document["$defs"]

      def schemer = @schemer ||= compiled(document)

      # Looks at how long lists are, not at what is in them, so that no time goes into each of too many entries.
      def list_schemer = @list_schemer ||= compiled(without_entries(document))

      def without_entries(schema)
        case schema
        when Hash
          (schema.key?("maxItems") ? schema.except("items") : schema).transform_values { |part| without_entries(part) }
        when Array
          schema.map { |part| without_entries(part) }
        else
          schema
        end
      end

      # Patterns are those of JSON Schema (ECMA-262), in which ^ and $ stand for the ends of the text; Ruby's own would
      # take them for the ends of a line.
      def compiled(schema) = JSONSchemer.schema(schema, regexp_resolver: "ecma")

      # JSON pointer of what an error of the schema is about.
      def path(error)
        pointer = error["data_pointer"]
        pointer = "/" if pointer.empty?
        pointer
      end

      # An error of the schema (json_schemer's) as a Refusal at a JSON pointer.
      def refusal(error, at:)
        name = error["data_pointer"].split("/").last || "document"
        code, values = reason(error, error["type"], error["schema"])
        Refusal.new("schema.#{code}", name: name, at: at, **values)
      end

      # The code of the catalogue, and what its sentence names besides the part.
      def reason(error, type, schema)
        given = given(error["data"])
        case type
        when "required"
          ["required", {missing: Array(error.dig("details", "missing_keys")).join(", ")}]
        when "schema"
          ["unknown_key", {}]
        when "enum"
          ["enum", {given: given, known: Array(schema["enum"]).join(", ")}]
        when "const"
          ["const", {given: given, wanted: JSON.generate(schema["const"])}]
        when "minimum"
          ["minimum", {given: given, least: schema["minimum"]}]
        when "exclusiveMinimum"
          ["exclusive_minimum", {given: given, least: schema["exclusiveMinimum"]}]
        when "maximum"
          ["maximum", {given: given, most: schema["maximum"]}]
        when "maxItems"
          ["max_items", count_and_most(error, schema["maxItems"])]
        when "minItems"
          ["min_items", count_and_least(error, schema["minItems"])]
        when "minLength"
          ["min_length", count_and_least(error, schema["minLength"])]
        when "uniqueItems"
          ["unique_items", {}]
        when "maxLength"
          ["max_length", count_and_most(error, schema["maxLength"])]
        when "pattern"
          ["pattern", {given: given, hint: hint(error["data_pointer"].split("/").last || "document")}]
        when *ARTICLES.keys
          ["type", {given: given, wanted: ARTICLES[type]}]
        else
          ["other", {trouble: error["error"]}]
        end
      end

      def count_and_most(error, most) =
        {count: Units::Number.grouped(error["data"].length), most: Units::Number.grouped(most)}

      def count_and_least(error, least) = {count: error["data"].length, least: least}

      # A value in short; a large one is not written out first.
      def given(data) =
        ((data.respond_to?(:length) && data.length > 200) ? data.class.name.downcase : JSON.generate(data))[0, 60]

      ARTICLES = {
        "string" => "text",
        "number" => "a number",
        "integer" => "a whole number",
        "array" => "a list",
        "object" => "an object",
        "boolean" => "true or false"
      }.freeze

      def hint(name)
        return "a colour such as #8c2f39" if name.include?("colour") || name == "halo"
        return "a length with its unit, such as 50 m" if %w[buffer multiple gap_tolerance].include?(name)
        if %w[x y margin].include?(name)
          return "a width on paper, a share or a ground length, such as 8 mm, 5 % or 20 m"
        end
        return "a date such as 2026-04-01" if name == "date"
        "letters, digits, - and _"
      end
    end
  end
end
