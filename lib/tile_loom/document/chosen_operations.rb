# frozen_string_literal: true

module TileLoom
  module Document
    # The transformations between datums of a book into which data is read: a pair that comes for the first time gets
    # one, the most accurate for the ground of the data that it comes with.
    class ChosenOperations
      # entries: "operations" of the book document; reference: the book's.
      def initialize(entries, reference)
        @operations, @reference = Crs::Operations.new(entries), reference
        @notices = []
      end

      # Sentences of what was chosen for which datums, and of data that another one would bring more accurately.
      attr_reader :notices

      # The block gives a reader (see Data::GeojsonReader) for the book's Crs. title: of the layer, for what is told.
      def reader(title: nil)
        reader = yield(crs)
        from, box = reader.source_reference, reader.degrees
        fresh = @operations.including(from, crs, crs, box: box)
        if fresh.equal?(@operations)
          better(title, from, box)
          return reader
        end
        @operations = fresh
        used = used(from, box)
        @notices << "#{from.datum} is transformed to #{crs.datum} by #{named(used)}, chosen for where " \
          "#{title || "the data"} lies."
        yield crs
      end

      def crs = Crs::System.find(@reference, operations: @operations)

      # As the document has them; nil for none.
      def entries = @operations.to_a.then { |list| list.empty? ? nil : list }

      private

      # The operation in use, as accurate as it is where the data lie.
      def used(from, box)
        known = @operations.between(from, crs, crs)
        Crs::DatumOperation.candidates(from, crs, box).find { |one| one.name == known.name } || known
      end

      def better(title, from, box)
        return if box.nil? || from.datum == crs.datum || from.bound? || crs.bound?
        mine = used(from, box)
        other = @operations.better(from, crs, box, mine) or return
        @notices << "#{title || "The data"} is transformed by #{named(mine)}; #{named(other)} covers it, too."
      rescue Refusal
        nil
      end

      # “Its name” (accurate to 1 m)
      def named(operation)
        metres = operation.accuracy_here
        accuracy = metres ? "accurate to #{Units::Number.plain(metres, decimals: 3)} m" : "accuracy not known there"
        "“#{operation.name}” (#{accuracy})"
      end
    end
  end
end
