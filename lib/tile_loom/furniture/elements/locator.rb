# frozen_string_literal: true

module TileLoom
  module Furniture
    module Elements
      # A small map of the index that shows where this sheet lies.
      class Locator < IndexFrame
        private

        def manner(sheet) = {colour: settings.fetch("colour", "#545c60"), face: face, here: sheet.cell, names: false}
      end
    end
  end
end
