# frozen_string_literal: true

module App
  module Taken
    # A member of the document as a whole: the design of the sheets, the pages beside them, the notes.
    class Member
      # Those that have places on the ground; the others hold in any CRS.
      ON_GROUND = %w[layout index_layout pages notes labels_by_hand].freeze
      ALL = (ON_GROUND + %w[index_pages looks orders palette]).freeze

      def initialize(moment, name)
        @then, @name = moment.document, name
      end

      def on_ground? = ON_GROUND.include?(@name)

      def cells? = false

      def document(now)
        older = @then[@name]
        older.nil? ? now.except(@name) : Taken.with_own(now, @then).merge(@name => older)
      end
    end
  end
end
