# frozen_string_literal: true

module TileLoom
  module Sheet
    # Puts one cell on the book's layout and composes the scene.
    class Composer
      attr_reader :book, :source, :cell, :count

      # source: where features come from (see Ground::MemorySource); count: sheets in the book;
      # tolerance_mm: coarser, and names: false, for small pictures.
      def initialize(book:, source:, cell:, count:, tolerance_mm: GroundDrawing::TOLERANCE_MM, names: true)
        @book, @source, @cell, @count, @tolerance_mm, @names = book, source, cell, count, tolerance_mm, names
      end

      def page = book.layout.page

      def view = @view ||= FrameView.new(frame: book.layout.frame_box, ground: cell.ground, crs: book.crs)

      # Scene::Drawing of the page.
      def drawing
        Scene::Drawing.new(width_mm: page.width_mm, height_mm: page.height_mm,
          nodes: book.layout.elements.map { |element| element.draw(self) }, viewports: [viewport].compact, title: title)
      end

      def ground_drawing(view)
        @ground_drawing ||= GroundDrawing.new(layers: book.layers, source: source, view: view, tolerance_mm: @tolerance_mm, names: @names)
      end

      def shown_rules = ground_drawing(view).shown_rules

      # Text with its live values filled in; Invalid names the value that is unknown.
      def live_text(template, path: nil) = LiveText.new(template, path: path).fill(values)

      def values = @values ||= LiveValues.new(self).to_h

      def title = "#{cell.number}  #{cell.name}"

      private

      # nil where a corner of the frame lies beyond the earth, as in a view of the globe.
      def viewport
        order = view.ground.corners.each_slice(2).to_a.values_at(0, 3, 2, 1)
        lonlat = view.to_geographic.forward(order.flatten)
        return nil unless lonlat.all?(&:finite?)
        Scene::Viewport.new(frame: view.frame, corners_lat_lon: lonlat.each_slice(2).map(&:reverse), crs: view.crs, name: cell.name)
      end
    end
  end
end
