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
        Bin.put_back(in_bin)
        json(listed(Book.shelved))
      end

      # For good.
      delete "/api/bin/:book_id" do
        Bin.end_days(in_bin)
        json(binned)
      end

      private

      def in_bin = Bin.books.find(whole(params["book_id"]))

      def listed(books) =
        rows(books).map do |found|
          entry(found).merge("opened_at" => time(found.opened_at), "changed_at" => time(found.updated_at))
        end

      def binned = rows(Bin.books).map { |found| entry(found).merge("ends_at" => time(Bin.ends(found))) }

      def rows(books) = books.order(:id).select(:id, :title, :subtitle, :revision, :opened_at, :updated_at, :binned_at)

      def entry(found) =
        found.attributes.slice("id", "title", "subtitle", "revision").merge("sheets" => sheets.fetch(found.id, 0))

      def sheets = @sheets ||= GridIndex.joins(:cells).group(:book_id).count

      def time(moment) = moment&.utc&.iso8601
    end
  end
end
