# frozen_string_literal: true

module App
  module Routes
    # Coordinate grids of the frames: what they come to on a sheet, new ones, copies, room for their labels.
    # Sheet 0 is the index sheet, whose frame is that of the key layout.
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
        add(role, preset.settings.merge("title" => preset.title), preset.key, "New grid")
      end

      # {id}: copies a grid of this sheet's frame to the frame of the other layout.
      post "/api/books/:book_id/sheets/:number/grids/copy" do
        id = body_json["id"]
        grid = frame_of(role)["grids"].to_a.find { |known| known["id"] == id } or
          raise TileLoom::Refusal.new("requests.no_such_grid", id: id, at: "/id")
        add((role == "index") ? "sheets" : "index", grid, grid["id"], "Copy a grid")
      end

      # The frame gives way so that border and labels have room on the paper.
      post "/api/books/:book_id/sheets/:number/grids/room" do
        place = trial.place_with_room or raise TileLoom::Refusal.new("requests.room_already")
        json(change(role, "Room for labels") { |frame| frame.merge("place" => place) })
      end

      private

      def sheet_number = @sheet_number ||= whole(params["number"])

      # Of the layout that this sheet has.
      def role = sheet_number.zero? ? "index" : "sheets"

      def trial = TileLoom::Compose::GridTrial.new(Snapshot.of(book).composer_of(sheet_number))

      # Settings of a grid that fit the schema.
      def grid_asked
        grid = body_json["grid"]
        raise TileLoom::Refusal.new("requests.no_grid") unless grid.is_a?(Hash)
        TileLoom::Document::Schema.part_findings("grid", grid, path: "/grid").first&.then { |finding| raise finding }
        grid
      end

      # Role → [its name in the book document, the kind of its frame].
      FRAMES = {"sheets" => %w[layout map_frame], "index" => %w[index_layout index_frame]}.freeze

      def frame_of(role)
        name, kind = FRAMES.fetch(role)
        layout = book.settings[name] or raise TileLoom::Refusal.new("requests.add_index_sheet")
        layout["elements"].find { |element| element["kind"] == kind } or
          raise TileLoom::Refusal.new("requests.no_frame_for_grids")
      end

      def add(role, settings, id, label)
        made = nil
        change(role, label) do |frame|
          grids = frame["grids"] || []
          taken = grids.map { |grid| grid["id"] }
          made = [id, *(2..taken.length + 2).map { |number| "#{id}-#{number}" }].find { |free| !taken.include?(free) }
          frame.merge("grids" => [*grids, settings.merge("id" => made)])
        end.then { |answer| json(answer.merge("made" => [made])) }
      end

      # The block gives the frame as it is to be.
      def change(role, label)
        name, kind = FRAMES.fetch(role)
        frame_of(role)
        changes.apply_to_fresh(label: label) do
          elements = book.reload.settings[name]["elements"]
          {name => {"elements" => elements.map { |element| (element["kind"] == kind) ? yield(element) : element }}}
        end
        shown(book.reload)
      end
    end
  end
end
