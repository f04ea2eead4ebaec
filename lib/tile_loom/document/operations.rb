# frozen_string_literal: true

module TileLoom
  module Document
    # Changes of a document as a list of operations, in the manner of JSON Patch (RFC 6902): "add", "remove", "replace",
    # "move", "test", each with the path (RFC 6901) of what it is about. Where the entries of a list have ids, a path
    # names an entry by its id and not by its place, so that it still means the same when others changed the list
    # meanwhile; "before" says in front of which entry one comes that is added or moved (nothing: at the end). Other
    # lists are values as a whole.
    module Operations
      module_function

      # Those that lead from one document to another.
      def between(before, after, path = "")
        return [] if before == after
        return members(before, after, path) if before.is_a?(Hash) && after.is_a?(Hash)
        if before.is_a?(Array) && after.is_a?(Array) && (were = Values::EntryIds.of(before)) &&
            (are = Values::EntryIds.of(after))
          return entries(before, after, were, are, path)
        end
        [{"op" => "replace", "path" => path, "value" => after}]
      end

      # The document with them done, one after the other; Refusal where what one is about is not there, or a test fails.
      def applied(document, operations)
        operations
          .each_with_index
          .reduce(document) { |found, (operation, index)| Step.new(operation, "/operations/#{index}").on(found) }
      end

      # The names along its path. RFC 6901, 4.
      def names(operation) =
        operation["path"].split("/", -1).drop(1).map { |name| name.gsub("~1", "/").gsub("~0", "~") }

      # What stands at the end of a path of names, entries of lists by their ids; nil where nothing does.
      def value(document, names) = names.reduce(document) { |part, name| inner(part, name) }

      def inner(part, name)
        return part[name] if part.is_a?(Hash)
        part.find { |entry| entry.is_a?(Hash) && entry["id"] == name } if part.is_a?(Array)
      end

      # Its path as sentences have it.
      def shown(operation) = operation["path"].delete_prefix("/").gsub("/", " › ")[0, 120]

      # RFC 6901, 3.
      def below(path, name) = "#{path}/#{name.gsub("~", "~0").gsub("/", "~1")}"

      def members(before, after, path)
        (before.keys | after.keys).flat_map do |name|
          own = below(path, name)
          next [{"op" => "remove", "path" => own}] unless after.key?(name)
          next [{"op" => "add", "path" => own, "value" => after[name]}] unless before.key?(name)
          between(before[name], after[name], own)
        end
      end

      def entries(before, after, were, are, path)
        known, fresh = were.zip(before).to_h, are.zip(after).to_h
        removed = (were - are).map { |id| {"op" => "remove", "path" => below(path, id)} }
        changed = (were & are).flat_map { |id| between(known[id], fresh[id], below(path, id)) }
        removed + changed + placed(were & are, are, fresh, path)
      end

      # Newcomers, and those that stand elsewhere, from the last one on, so that each finds whom it comes before.
      def placed(kept, are, fresh, path)
        rank = kept.each_with_index.to_h
        still = Values::Rising.of(are.map { |id| rank[id] })
        are.each_index.reverse_each.filter_map do |index|
          id = are[index]
          next if still[index]
          place = {"before" => are[index + 1]}.compact
          own = below(path, id)
          next {"op" => "move", "path" => own, **place} if rank.key?(id)
          {"op" => "add", "path" => own, "value" => fresh[id], **place}
        end
      end

      private_class_method :members, :entries, :placed

      # One operation. at: where it stands, for refusals.
      class Step
        def initialize(operation, at)
          @operation, @at = operation, at
        end

        # The document with it done; parts that it is not about are the same objects.
        def on(document) = within(document, Operations.names(@operation))

        private

        def value = @operation["value"]

        def within(part, names)
          name, *rest = names
          return of_member(part, name, rest) if part.is_a?(Hash)
          return of_entry(part, name, rest) if part.is_a?(Array) && Values::EntryIds.of(part)
          gone
        end

        def of_member(part, name, rest)
          if rest.any?
            gone unless part.key?(name)
            return part.merge(name => within(part[name], rest))
          end
          case @operation["op"]
          when "add"
            part.merge(name => value)
          when "replace"
            part.key?(name) ? part.merge(name => value) : gone
          when "remove"
            part.key?(name) ? part.reject { |key, _| key == name } : gone
          when "test"
            part.tap { tested(part[name]) }
          else
            gone
          end
        end

        def of_entry(list, id, rest)
          place = list.index { |entry| entry["id"] == id }
          return added(list, id, place) if rest.empty? && @operation["op"] == "add"
          gone unless place
          return replaced(list, place, within(list[place], rest)) if rest.any?
          case @operation["op"]
          when "replace"
            replaced(list, place, value)
          when "remove"
            list[0...place] + list[(place + 1)..]
          when "move"
            put(list[0...place] + list[(place + 1)..], list[place])
          else
            list.tap { tested(list[place]) }
          end
        end

        def replaced(list, place, entry) = list[0...place] + [entry] + list[(place + 1)..]

        def added(list, id, place)
          raise Refusal.new("changes.id_taken", id: id, at: @at) if place
          unless value.is_a?(Hash) && value["id"] == id
            raise Refusal.new("changes.entry_of_another_id", id: id, at: "#{@at}/value")
          end
          put(list, value)
        end

        # Where the entry is gone that it was to come before, it comes last.
        def put(list, entry)
          before = @operation["before"] && list.index { |known| known["id"] == @operation["before"] }
          before ? list[0...before] + [entry] + list[before..] : list + [entry]
        end

        def tested(found)
          raise Refusal.new("changes.another_value", path: shown, at: @at) unless found == value
        end

        def gone = raise(Refusal.new("changes.part_gone", path: shown, at: @at))

        def shown = Operations.shown(@operation)
      end
    end
  end
end
