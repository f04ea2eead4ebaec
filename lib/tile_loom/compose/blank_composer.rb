# frozen_string_literal: true

module TileLoom
  module Compose
    # An empty page of the size of the one that it stands before.
    class BlankComposer < BookPageComposer
      def elements = []

      def main_frame = nil
    end
  end
end
