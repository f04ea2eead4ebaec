# frozen_string_literal: true

module App
  module Routes
    # Coordinate grids of the frames: what they come to on a page, new ones, copies, room for their labels. A request
    # names the page by its number and the frame by its id; without one it means the page's main frame.
    class Grids < Base
      get("/api/books/:book_id/sheets/:number/grids") { json(trial.to_h) }

      # {grid}: settings of a grid that is being tried.
      post "/api/books/:book_id/sheets/:number/grids/try" do
        tried = trial.try(grid_asked)
        svg = tried["drawing"]&.then { |drawing| TileLoom::Output::Svg.new(drawing, size: false).to_s }
        json(tried.except("drawing").merge("svg" => svg))
      end

      # {preset}: a grid of that kind comes into the frame, drawn last.
      post "/api/books/:book_id/sheets/:number/grids" do
        preset = trial.presets.find(body_json["preset"].to_s)
        add(role, frame["id"], preset.settings.merge("title" => preset.title), preset.key, "New grid")
      end

      # {id}: copies a grid of this sheet's frame to the frame of the other layout.
      post "/api/books/:book_id/sheets/:number/grids/copy" do
        id = body_json["id"]
        grid = frame["grids"].to_a.find { |known| known["id"] == id } or
          raise TileLoom::Refusal.new("requests.no_such_grid", id: id, at: "/id")
        other = (role == ["index"]) ? ["sheets"] : ["index"]
        add(other, main_of(other), grid, grid["id"], "Copy a grid")
      end

      # The frame gives way so that border and labels have room on the paper.
      post "/api/books/:book_id/sheets/:number/grids/room" do
        place = trial.place_with_room or raise TileLoom::Refusal.new("requests.room_already")
        json(change(role, frame["id"], "Room for labels") { |frame| frame.merge("place" => place) })
      end

      private

      def sheet_number = @sheet_number ||= page_number

      # Role of the layout that this page has, and the id of a free page.
      def role
        return ["sheets"] if sheet_number.positive?
        book_page = Snapshot.of(book).run.book_page(sheet_number)
        book_page&.page? ? [LaidOut::PAGES, book_page.page.id] : ["index"]
      end

      # The id of the frame that is meant; nil for the page's main one.
      def frame_id = (request.post? ? body_json["frame"] : params["frame"])&.to_s.presence

      def trial = TileLoom::Compose::GridTrial.new(Snapshot.of(book).composer_of(sheet_number), frame_id)

      # Settings of the frame that is meant.
      def frame
        id = frame_id || main_of(role)
        LaidOut.new(book.document, *role).elements.find { |element| element["id"] == id } or
          raise TileLoom::Refusal.new("requests.no_frame_for_grids")
      end

      # Settings of a grid that fit the schema.
      def grid_asked
        grid = body_json["grid"]
        raise TileLoom::Refusal.new("requests.no_grid") unless grid.is_a?(Hash)
        TileLoom::Document::Schema.part_findings("grid", grid, path: "/grid").first&.then { |finding| raise finding }
        grid
      end

      # Role → the kind of its main frame.
      MAIN = {"sheets" => "map_frame", "index" => "index_frame", LaidOut::PAGES => "inset"}.freeze

      # The id of a layout's main frame.
      def main_of(role)
        elements = LaidOut.new(book.document, *role).elements
        elements.find { |element| element["kind"] == MAIN.fetch(role.first) }&.fetch("id") or
          raise TileLoom::Refusal.new("requests.no_frame_for_grids")
      end

      def add(role, id, settings, grid_id, label)
        made = nil
        change(role, id, label) do |frame|
          grids = frame["grids"] || []
          taken = grids.map { |grid| grid["id"] }
          made =
            [grid_id, *(2..taken.length + 2).map { |number| "#{grid_id}-#{number}" }].find do |free|
              !taken.include?(free)
            end
          frame.merge("grids" => [*grids, settings.merge("id" => made)])
        end.then { |answer| json(answer.merge("made" => [made])) }
      end

      # The block gives the frame as it is to be.
      def change(role, id, label)
        changes.apply_to_fresh(label: label) do
          laid = LaidOut.new(book.reload.document, *role)
          laid.patch(laid.elements.map { |element| (element["id"] == id) ? yield(element) : element })
        end
        shown(book.reload)
      end
    end
  end
end
