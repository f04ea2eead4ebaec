# frozen_string_literal: true

module TileLoom
  module Values
    # A frozen value of the book document: declared once by its parts, which make its JSON Schema, its reading with
    # defaults, and its way back. What was given stays beside it as it was, so that nothing is lost going out and in.
    class Value
      class << self
        include Types

        # name: among the definitions of the schema; without one it is written out where it is used.
        def define(name = nil, about: nil, **more)
          @definition, @about, @more = name, about, more.transform_keys(&:to_s)
        end

        # Members of its schema beside those of the parts.
        def more = @more || {}

        # Declares a part; see Part. A Flag is asked as `name?`.
        def part(name, type, **how) = take(name => Part.new(name, type, **how))

        # Declares the id by which an entry of a list is known; the list says ids: EntryIds.
        def identified = part(:id, Types::ID, about: "By which changes know it.")

        # Takes over parts that are declared elsewhere: {name → Part}.
        def take(parts)
          @all_parts = nil
          parts.each do |name, part|
            own_parts[name] = part
            # As written by hand: a block that is kept for each part takes ten times as long to answer.
            class_eval("def #{name}#{"?" if part.type.is_a?(Flag)} = @parts[:#{name}]", __FILE__, __LINE__)
          end
        end

        # Parts of the class above that this one does not have.
        def leave_out(*names)
          @all_parts = nil
          @left_out = names
        end

        # All parts, those of the class above first. Put together once, as every value that is read goes by them.
        def parts
          @all_parts ||=
            begin
              above = superclass.respond_to?(:parts) ? superclass.parts : {}
              above.except(*@left_out).merge(own_parts).freeze
            end
        end

        # The Type of such a value.
        def type = Of.new(self)

        def record = Record.new(@definition, parts, about: @about, more: more)

        # A value of nothing but defaults.
        def plain = new({})

        private

        def own_parts = @own_parts ||= {}
      end

      # The Type of values of a class.
      class Of < Type
        def initialize(value_class) = @value_class = value_class

        def schema(definitions) = @value_class.record.schema(definitions)

        def read(json, path:, assets:) = @value_class.read(json, path: path, assets: assets)

        def identified(json, before) = Record.identified(@value_class.parts, json, before)

        def write(value) = value.given
      end

      # given: the JSON object as it was written; path: its JSON pointer in the document (RFC 6901); assets: the book's
      # own typefaces, drawings and pictures.
      attr_reader :given, :path, :assets

      # The value of an object; a class of kinds gives that of the object's kind.
      def self.read(given, path: "", assets: nil) = new(given, path: path, assets: assets)

      def initialize(given, path: "", assets: nil)
        @given, @path, @assets = given, path, assets
        @parts = self.class.parts.transform_values { |part| part.read(given, path: path, assets: assets) }.freeze
        settle
        freeze
      end

      # Was this part given, or does a default stand for it?
      def given?(name) = given.key?(self.class.parts.fetch(name).key)

      # The same value with other parts; nil takes one away.
      def with(**changes)
        written =
          changes.to_h do |name, value|
            part = self.class.parts.fetch(name)
            [part.key, value && part.type.write(value)]
          end
        self.class.new(given.merge(written).compact, path: path, assets: assets)
      end

      def ==(other) = other.class == self.class && other.given == given

      private

      # The same value with parts that were worked out, such as sizes for another scale; what was given stays.
      def reckoned(**parts)
        found = @parts.merge(parts).freeze
        dup.tap { |copy| copy.instance_variable_set(:@parts, found) }.freeze
      end

      # Works out what follows from the parts, and refuses what does not go together, before the value is frozen.
      def settle = nil
    end
  end
end
