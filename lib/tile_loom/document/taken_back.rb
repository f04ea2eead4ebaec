# frozen_string_literal: true

module TileLoom
  module Document
    # A change taken back although others changed a document since: what it made another is as it was before, the rest
    # stays. Refusal where somebody else changed the very same, with both values.
    class TakenBack
      # way: the operations that led there; back: those that lead back (Operations.between both).
      def initialize(way, back)
        @way, @back = way, back
      end

      # The document with it taken back. label: of the change, for refusals.
      def applied(document, label:)
        @back.each { |operation| demand_as_left(operation, document, label) }
        Operations.applied(document, @back)
      end

      private

      def demand_as_left(operation, document, label)
        names = Operations.names(operation)
        now = Operations.value(document, names)
        case operation["op"]
        when "add"
          refuse(names, document, label, left: nil, now: now) unless now.nil?
          refuse_without_room(names, document, label)
        when "move"
          refuse_gone(names, document, label) if now.nil?
        else
          refuse_gone(names, document, label) if now.nil? && !left[operation["path"]].nil?
          refuse(names, document, label, left: left[operation["path"]], now: now) unless now == left[operation["path"]]
        end
      end

      # path → the value that the change left there.
      def left = @left ||= @way.to_h { |operation| operation.values_at("path", "value") }

      def refuse_without_room(names, document, label)
        refuse_gone(names[0...-1], document, label) unless names.one? || Operations.value(document, names[0...-1])
      end

      def refuse_gone(names, document, label)
        raise Refusal.new("changes.undone_part_gone", label: label, part: PartName.of(names, document))
      end

      def refuse(names, document, label, left:, now:)
        raise Refusal.new(
          "changes.undone_meanwhile",
          label: label,
          part: PartName.of(names, document),
          left: PartName.value(left),
          now: PartName.value(now)
        )
      end
    end
  end
end
