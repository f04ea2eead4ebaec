# frozen_string_literal: true

module App
  module Routes
    # What an index would come to, before anything is kept.
    class Index < Base
      # The outline that the map shows is true to this share of the area's larger side.
      MOST_OUTLINE = 1.0 / 3000

      post "/api/books/:book_id/index/trial" do
        settings = changed(body_json)
        generated("answer", body_json.slice("patch", "turn")) do
          json(Presenter.answer(book.answer_to(settings), titles: book.layer_titles))
        end
      end

      # Old and new names side by side, as naming all by the pattern (or a changed one) would give them.
      post "/api/books/:book_id/names" do
        settings = changed(body_json)
        index = Book.core(settings).index
        # Naming all by the pattern that is there leaves their order as it is.
        cells =
          if settings["index"] == book.index.settings
            book.index.core_cells
          else
            index.ordered(book.index.core_cells, book.source)
          end
        json(
          cells
            .zip(index.renamed(cells, book.source))
            .map { |old, fresh| {"number" => fresh.number, "old" => old.name, "new" => fresh.name} }
        )
      end

      post("/api/books/:book_id/names/anew") { json(shown(changes.name_anew.reload)) }

      post "/api/books/:book_id/scales" do
        settings = changed(body_json)
        scale = Book.core(settings).index.scale
        kept = (settings == book.document) ? {scale => book.index.rows.length} : {}
        json(NeighbouringScales.new(settings, kept) { |changed| count(changed) }.list)
      end

      # The frame or the data changed since the cells were generated: rebuild by what is now, or keep the cells.
      post("/api/books/:book_id/index/rebuild") { generated("rebuild", {}) { json(shown(changes.rebuild.reload)) } }

      # Long work on the index: how far it is, and what came of it.
      get("/api/books/:book_id/index/runs/:run_id") do
        json(Presenter.index_run(run.asked).merge({"answer" => run.answer}.compact))
      end

      # What it made.
      get "/api/books/:book_id/index/runs/:run_id/file" do
        path = FileRun.new(run.asked).path or halt_with(404, "answers.run_without_file")
        headers "content-disposition" => ContentDisposition.attachment(File.basename(path))
        send_file(path, type: "application/octet-stream")
      end

      post "/api/books/:book_id/index/runs/:run_id/cancel" do
        run.turn("cancelled", reason: "Stopped by hand.")
        json(Presenter.index_run(run.reload))
      end

      post("/api/books/:book_id/index/keep") { json(shown(changes.keep_cells.reload)) }

      # What a study area comes to: its area on the ground and its extent.
      post "/api/books/:book_id/area" do
        document = Book.core(changed(body_json))
        area = document.study_area(book.source)
        json(
          {
            "ground_m2" => area.ground_m2(document.crs).round(1),
            "box" => area.box.to_a,
            "size_m" =>
              TileLoom::Crs::GroundSize
                .new(document.crs, TileLoom::Geometry::TurnedRectangle.of(area.box))
                .to_a
                .map { |metres| metres.round(2) },
            "rings" => area.outline(MOST_OUTLINE).map { |ring| ring.each_slice(2).to_a }
          }
        )
      end

      private

      def run = @run ||= IndexRun.find_by!(book_id: book.id, id: whole(params["run_id"]))

      def changed(request_body)
        settings = MergePatch.apply(book.document, request_body["patch"] || {})
        TileLoom::Document::Check.demand(settings, enclosures: Enclosure.reader)
        settings
      end

      # nil where that is more work than a request does.
      def count(settings)
        StepBudget.hold { Book.core(settings).generate(book.source).cells.length }
      rescue TileLoom::Refusal, StepBudget::Exceeded
        nil
      end
    end
  end
end
