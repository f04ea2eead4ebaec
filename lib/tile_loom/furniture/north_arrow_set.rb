# frozen_string_literal: true

module TileLoom
  module Furniture
    # The north arrows that ship: one SVG file each in north_arrows/, pointing up, from plain to ornate.
    module NorthArrowSet
      FOLDER = File.expand_path("north_arrows", __dir__)
      # Form → its title, from plain to ornate.
      TITLES = {
        "needle" => "Needle",
        "shaft" => "Shaft",
        "half-point" => "Half point",
        "solid" => "Solid",
        "outline" => "Outline",
        "post" => "Post",
        "dart" => "Dart",
        "leaf" => "Leaf",
        "ring" => "Ring",
        "disc" => "Disc",
        "crossed" => "Crossed",
        "rose-four" => "Rose of four",
        "rose-eight" => "Rose of eight",
        "rose-sixteen" => "Rose of sixteen"
      }.freeze
      LOCK = Mutex.new

      module_function

      # An Artwork::Drawing; Refusal for a form that does not ship.
      def drawing(form, path: nil)
        unless TITLES.key?(form)
          raise Refusal.new("furniture.no_such_north_arrow", name: form, known: TITLES.keys.join(", "), at: path)
        end
        LOCK.synchronize do
          @drawings ||= {}
          @drawings[form] ||= Artwork::SvgReader.read(
            File.read(File.join(FOLDER, "#{form}.svg")),
            name: "The north arrow #{form}"
          )
        end
      end
    end
  end
end
