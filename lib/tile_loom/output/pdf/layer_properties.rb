# frozen_string_literal: true

module TileLoom
  module Output
    module Pdf
      # The layers of a document that a reader can switch (ISO 32000-1, 8.11): with their titles, in the groups of the
      # book, the topmost first, as they are found when the file is opened and as they print.
      class LayerProperties
        # A layer of the book as the list names it: id, title, the title of its group or nil.
        Entry = Struct.new(:id, :title, :group, keyword_init: true)

        # entries: Entry list, the lowest first; manner: a PdfManner.
        def initialize(entries, manner)
          @entries, @manner = entries, manner
          @states = manner.layers.to_h { |state| [state.id, state] }
          @used = {}
        end

        def any? = @used.any?

        # The object of a layer that a page draws.
        def object(file, id, title)
          @used[id] ||= file.add({Type: :OCG, Name: title, **usage(id)})
        end

        # The dictionary for the catalogue.
        def to_h
          all = @used.values
          off = @used.select { |id, _| @states[id]&.shown == false }.values
          settings = {Name: "Layers", Order: order, ON: all - off, OFF: off}
          settings[:OFF].empty? && settings.delete(:OFF)
          if @used.keys.any? { |id| print_state(id) }
            settings[:AS] = [
              {Event: :Print, Category: [:Print], OCGs: @used.select { |id, _| print_state(id) }.values}
            ]
          end
          {OCGs: all, D: settings}
        end

        private

        # In PDF/A and PDF/X no program may switch layers by itself (ISO 19005-2, 6.9; ISO 15930-7): what is shown is
        # printed.
        def print_state(id)
          return nil unless @manner.standard == "none"
          {"always" => :ON, "never" => :OFF}[@states[id]&.printed]
        end

        def usage(id) =
          print_state(id)&.then { |state| {Usage: {Print: {Subtype: :Print, PrintState: state}}} } || {}

        # Groups stand under their titles.
        def order
          known = @entries.reverse.select { |entry| @used.key?(entry.id) }
          rest = @used.keys - known.map(&:id)
          listed =
            known
              .chunk_while { |one, other| one.group && one.group == other.group }
              .flat_map do |entries|
                objects = entries.map { |entry| @used[entry.id] }
                entries.first.group ? [[entries.first.group, *objects]] : objects
              end
          rest.map { |id| @used[id] } + listed
        end
      end
    end
  end
end
