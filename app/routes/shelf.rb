# frozen_string_literal: true

module App
  module Routes
    # The shelf: all books as a list, those in the bin, and the way from one to the other.
    class Shelf < Base
      get "/api/books" do
        json(listed(Book.shelved))
      end

      delete "/api/books/:book_id" do
        Bin.take(book)
        json(listed(Book.shelved))
      end

      get "/api/bin" do
        json(binned)
      end

      post "/api/bin/:book_id/restore" do
        Bin.put_back(whole(params["book_id"]))
        json(listed(Book.shelved))
      end

      # For good.
      delete "/api/bin/:book_id" do
        Bin.end_days(whole(params["book_id"]))
        json(binned)
      end

      private

      def listed(books) =
        rows(books).map do |found|
          entry(found).merge("opened_at" => found.opened_at&.iso8601, "changed_at" => found.updated_at.iso8601)
        end

      def binned = rows(Bin.books).map { |found| entry(found).merge("ends_at" => Bin.ends(found).iso8601) }

      def rows(books) = books.order(:id).select(:id, :title, :subtitle, :revision, :opened_at, :updated_at, :binned_at)

      def entry(found) =
        found.attributes.slice("id", "title", "subtitle", "revision").merge("sheets" => sheets.fetch(found.id, 0))

      def sheets = @sheets ||= GridIndex.joins(:cells).group(:book_id).count
    end
  end
end
