# frozen_string_literal: true

module TileLoom
  module Furniture
    # Elements whose rows go on in another of their kind on the same page, where they have no room.
    module Continuing
      def self.included(element)
        element.part(
          :continues,
          Values::Types::ID,
          about: "The one of its kind on this page whose rows go on here, where they do not fit."
        )
      end

      private

      # The element that this one continues on a page; nil where it is not there, or goes round in a circle.
      def before(sheet)
        chain = [self]
        while (other = one_before(chain.last, sheet))
          return nil if chain.include?(other)
          chain << other
        end
        chain[1]
      end

      # Does it come to itself again by what it continues?
      def round?(sheet)
        chain = [self]
        while (other = one_before(chain.last, sheet))
          return true if chain.include?(other)
          chain << other
        end
        false
      end

      def one_before(element, sheet) =
        element.continues && sheet.elements.find { |other| other.id == element.continues && alike?(other) }

      def alike?(other) = other.instance_of?(self.class)

      # Does another one of the page go on with its rows?
      def continued?(sheet) =
        sheet.elements.any? { |other| alike?(other) && !other.hidden? && other.continues == id && other.id != id }

      # What is said where the one that it continues is not there, in sentences.
      def broken_off(sheet)
        return [] if continues.nil? || before(sheet)
        if round?(sheet)
          return [
            "“#{title}” continues “#{continues}”, which in the end continues it, so that none of them begins. Give one of them rows."
          ]
        end
        [
          "“#{title}” continues “#{continues}”, which is not on this page. Choose another, or none."
        ]
      end
    end
  end
end
